import {
  MEMBERS,
  parseLength,
  thingDefinition,
  usualMethod,
  type LengthField,
  type LengthUnit,
  type Measure,
  type Method,
  type NumberField,
  type ThingDefinition,
  type ThingEntry,
  type ThingList,
  type ThingSpec,
} from '@keep-snug/core';
import { lengthFault } from '@/parts/LengthField';
import { numberFault, readNumber } from '@/parts/NumberField';

/** A thing being measured: every word as typed, by the name of its line, and how many entries each list has. */
export interface DraftThing {
  kind: string;
  texts: Readonly<Record<string, string>>;
  ways: Readonly<Record<string, Method>>;
  /** Entries of a list, by its name. */
  counts: Readonly<Record<string, number>>;
  /** Kinds of the members of a set, in order. */
  members: readonly string[];
}

/** The name a form has for the line of a path: `members[1].width` would be read as folders. */
export const lineName = (path: string): string => path.replace(/[.[\]]+/g, ' ').trim();

export interface Read {
  /** As far as it could be read. */
  thing: ThingSpec;
  /** What is wrong, by path. */
  faults: Record<string, string>;
}

/** The typed lines as a thing, with what is wrong with each. */
export function readDraft(draft: DraftThing, units: LengthUnit): Read {
  const definition = thingDefinition(draft.kind)!;
  const reader = new Reader(draft, units);
  const thing = reader.thing(definition, '');
  if (Object.keys(reader.faults).length === 0)
    for (const { path, message } of definition.check(thing)) reader.faults[path.replace(/\.mm$/, '')] = message;
  return { thing, faults: reader.faults };
}

/** How many entries a list of a draft shows: as many as were made, at least those it cannot be without. */
export function entriesOf(draft: DraftThing, list: ThingList, path: string): number {
  return draft.counts[lineName(path)] ?? list.least;
}

class Reader {
  readonly faults: Record<string, string> = {};

  constructor(
    private readonly draft: DraftThing,
    private readonly units: LengthUnit,
  ) {}

  thing(definition: ThingDefinition, prefix: string): ThingSpec {
    const name = this.text(`${prefix}name`);
    const entry = this.entry(definition, definition.measures, definition.numbers ?? [], prefix);
    this.oneOf(definition, entry, prefix);
    return {
      kind: definition.id,
      ...(name ? { name } : {}),
      ...entry,
      ...this.list(definition, prefix),
      ...(definition.holdsThings ? { members: this.members() } : {}),
    };
  }

  private text(path: string): string {
    return (this.draft.texts[lineName(path)] ?? '').trim();
  }

  private entry(
    usual: Pick<ThingDefinition, 'usually'>,
    measures: readonly LengthField[],
    numbers: readonly NumberField[],
    prefix: string,
  ): ThingEntry {
    const entry: ThingEntry = {};
    for (const field of measures) {
      const measure = this.measure(usual, field, `${prefix}${field.key}`);
      if (measure) entry[field.key] = measure;
    }
    for (const field of numbers) {
      const value = this.number(field, `${prefix}${field.key}`);
      if (value !== undefined) entry[field.key] = value;
    }
    return entry;
  }

  private measure(usual: Pick<ThingDefinition, 'usually'>, field: LengthField, path: string): Measure | undefined {
    const text = this.text(path);
    if (text === '' && field.optional) return undefined;
    const fault = lengthFault(text, { min: field.min, max: field.max, units: this.units, optional: false });
    if (fault) this.faults[path] = fault;
    const parsed = parseLength(text, this.units);
    if (fault || !parsed.ok) return undefined;
    return {
      mm: parsed.mm,
      by: this.draft.ways[lineName(path)] ?? usualMethod(usual, field.key),
      typed: text.slice(0, 60),
    };
  }

  private number(field: NumberField, path: string): number | undefined {
    const text = this.text(path);
    if (text === '') return field.default;
    const fault = numberFault(text, { min: field.min, max: field.max, whole: field.whole ?? false, unit: field.unit });
    if (fault) this.faults[path] = fault;
    return fault ? undefined : readNumber(text, field.unit);
  }

  private list({ list, usually }: ThingDefinition, prefix: string): Record<string, readonly ThingEntry[]> {
    if (!list) return {};
    const path = `${prefix}${list.key}`;
    const count = entriesOf(this.draft, list, path);
    if (count === 0) return {};
    const entries = Array.from({ length: count }, (_, index): ThingEntry => {
      const at = `${path}[${index}].`;
      const name = this.text(`${at}name`);
      return { ...(name ? { name } : {}), ...this.entry(usually ? { usually } : {}, list.measures, list.numbers, at) };
    });
    return { [list.key]: entries };
  }

  private members(): ThingSpec[] {
    if (this.draft.members.length === 0) this.faults.members = 'Nothing in it yet. Add what it is to hold.';
    return this.draft.members.map((kind, index) =>
      this.thing(
        MEMBERS.find(({ id }) => id === kind)!,
        `members[${index}].`,
      ),
    );
  }

  private oneOf({ oneOf, measures }: ThingDefinition, entry: ThingEntry, prefix: string): void {
    if (!oneOf || oneOf.some((key) => entry[key] !== undefined || this.faults[`${prefix}${key}`])) return;
    const names = measures.filter(({ key }) => oneOf.includes(key)).map(({ label }) => `“${label}”`);
    this.faults[`${prefix}${oneOf[0]}`] = `Nothing typed yet. ${names.join(' or ')}: one of them is needed.`;
  }
}
