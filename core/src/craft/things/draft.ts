import type { PlanFault } from '../../base/figure';
import {
  formatNumber,
  lengthFault,
  numberFault,
  parseLength,
  readNumber,
  typedLength,
  withItsUnit,
  wordLengths,
  type ChoiceField,
  type LengthField,
  type LengthUnit,
  type NumberField,
} from '../../base/units';
import type { KindLookup, ThingDefinition, ThingEntry, ThingList, ThingSpec } from './definition';
import { DEFAULT_METHOD, type Measure, type Method } from './measure';

/** Lines as typed, and how each measure was taken, by key. */
export interface LinesDraft {
  texts: Record<string, string>;
  ways: Record<string, Method>;
  /** How well it is known, mm, where that was reckoned. */
  sds?: Record<string, number>;
}

/** A thing being measured: every word as typed. */
export interface ThingDraft extends LinesDraft {
  kind: string;
  /** Of its list. */
  entries: LinesDraft[];
  /** What it holds. */
  members: ThingDraft[];
}

export interface ReadDraft {
  /** As far as it could be read. */
  thing: ThingSpec;
  /** What is wrong, by path within the thing: `width`, `tools[1].grip`. */
  faults: Record<string, string>;
  /** Whether it is a whole thing: nothing missing, though a line may be waiting to be mended. */
  whole: boolean;
}

/** A draft with nothing typed in it, with as many entries as its kind cannot be without. */
export function blankDraft({ id, list }: ThingDefinition): ThingDraft {
  const entries = Array.from({ length: list?.least ?? 0 }, (): LinesDraft => ({ texts: {}, ways: {} }));
  return { kind: id, texts: {}, ways: {}, entries, members: [] };
}

/** A draft in a house that uses another unit since: bare numbers of its lengths say what they were typed as. */
export function draftInUnits(
  draft: ThingDraft,
  typedIn: LengthUnit,
  units: LengthUnit,
  kindOf: KindLookup,
): ThingDraft {
  if (typedIn === units) return draft;
  const lines = (of: LinesDraft, measures: readonly LengthField[]): LinesDraft => ({
    ...of,
    texts: Object.fromEntries(
      Object.entries(of.texts).map(([key, text]) => [
        key,
        measures.some((field) => field.key === key) && text?.trim() ? withItsUnit(text, typedIn) : text,
      ]),
    ),
  });
  const { measures, list } = kindOf(draft.kind);
  return {
    ...draft,
    ...lines(draft, measures),
    entries: draft.entries.map((entry) => lines(entry, list?.measures ?? [])),
    members: draft.members.map((member) => draftInUnits(member, typedIn, units, kindOf)),
  };
}

/** A thing as the lines it would be typed as, in this unit where it was not typed. */
export function draftOf(thing: ThingSpec, units: LengthUnit, kindOf: KindLookup): ThingDraft {
  const definition = kindOf(thing.kind);
  const { list, measures, numbers = [], choices = [] } = definition;
  const entries = list ? ((thing[list.key] as readonly ThingEntry[] | undefined) ?? []) : [];
  return {
    kind: thing.kind,
    ...linesOf(thing, measures, numbers, units, choices),
    entries: entries.map((entry) => linesOf(entry, list!.measures, list!.numbers, units)),
    members: ((thing.members as readonly ThingSpec[] | undefined) ?? []).map((member) =>
      draftOf(member, units, kindOf),
    ),
  };
}

function linesOf(
  holder: Readonly<Record<string, unknown>>,
  measures: readonly LengthField[],
  numbers: readonly NumberField[],
  units: LengthUnit,
  choices: readonly ChoiceField[] = [],
): LinesDraft {
  const lines: LinesDraft = { texts: {}, ways: {} };
  if (holder.name !== undefined) lines.texts.name = String(holder.name);
  for (const { key } of measures) {
    const measure = holder[key] as Measure | undefined;
    if (!measure) continue;
    lines.texts[key] = shown(measure, units);
    if (measure.by) lines.ways[key] = measure.by;
    if (measure.sd !== undefined) (lines.sds ??= {})[key] = measure.sd;
  }
  for (const { key } of numbers) if (holder[key] !== undefined) lines.texts[key] = formatNumber(Number(holder[key]), 3);
  for (const { key } of choices) if (holder[key] !== undefined) lines.texts[key] = String(holder[key]);
  return lines;
}

const shown = (measure: Measure, units: LengthUnit) => typedLength(measure, units);

/**
 * The typed lines as a thing, with what is wrong with each.
 *
 * @param before the thing as it was last whole: a line that says what it said then is not read again, and one that cannot
 *   be used leaves what it was
 */
export function readDraft(draft: ThingDraft, units: LengthUnit, kindOf: KindLookup, before?: ThingSpec): ReadDraft {
  const reader = new Reader(units, kindOf);
  const thing = reader.thing(draft, '', before);
  const { faults, missing } = reader;
  if (Object.keys(faults).length === 0)
    Object.assign(faults, faultsByLine(kindOf(draft.kind).check(thing, kindOf), units));
  return { thing, faults, whole: !missing };
}

function faultsByLine(faults: readonly PlanFault[], units: LengthUnit): Record<string, string> {
  return Object.fromEntries(
    faults.map(({ path, message }) => [path.replace(/\.mm$/, ''), wordLengths(message, units)]),
  );
}

/** Only a photograph tells how well it knows what it tells. */
function withSpread({ sd: _before, ...measure }: Measure, sd: number | undefined): Measure {
  return measure.by === 'photograph' && sd !== undefined ? { ...measure, sd } : measure;
}

class Reader {
  readonly faults: Record<string, string> = {};
  missing = false;

  constructor(
    private readonly units: LengthUnit,
    private readonly kindOf: KindLookup,
  ) {}

  thing(draft: ThingDraft, prefix: string, before: ThingSpec | undefined): ThingSpec {
    const definition = this.kindOf(draft.kind);
    const was = before?.kind === draft.kind ? before : undefined;
    const lines = this.lines(draft, definition, prefix, was);
    const thing: ThingSpec = { kind: draft.kind, ...lines, ...this.list(draft, definition, prefix, was) };
    this.oneOf(definition, thing, prefix, was);
    if (definition.holdsThings) thing.members = this.members(draft, was);
    return thing;
  }

  private lines(
    draft: LinesDraft,
    {
      measures,
      numbers = [],
      choices = [],
      usually,
    }: Pick<ThingDefinition, 'measures' | 'numbers' | 'choices' | 'usually'>,
    prefix: string,
    was: Readonly<Record<string, unknown>> | undefined,
  ): ThingEntry {
    const entry: ThingEntry = {};
    const name = (draft.texts.name ?? '').trim();
    if (name) entry.name = name;
    for (const field of measures) {
      const by = draft.ways[field.key] ?? usually?.[field.key] ?? DEFAULT_METHOD;
      const last = was?.[field.key] as Measure | undefined;
      const measure = this.measure(field, draft.texts[field.key] ?? '', by, last, prefix + field.key);
      if (measure) entry[field.key] = withSpread(measure, draft.sds?.[field.key]);
    }
    for (const field of numbers) {
      const last = was?.[field.key] as number | undefined;
      const value = this.number(field, draft.texts[field.key] ?? '', last, prefix + field.key);
      if (value !== undefined) entry[field.key] = value;
    }
    for (const { key, options, default: usual } of choices) {
      const said = draft.texts[key];
      if (said !== undefined && said !== usual && options.some(({ id }) => id === said)) entry[key] = said;
    }
    return entry;
  }

  private measure(
    field: LengthField,
    line: string,
    by: Method,
    last: Measure | undefined,
    path: string,
  ): Measure | undefined {
    const text = line.trim();
    if (last && text === shown(last, this.units).trim()) return last.by === by || !last.by ? last : { ...last, by };
    if (text === '' && field.optional) return undefined;
    const fault = lengthFault(text, { min: field.min, max: field.max, units: this.units, optional: false });
    const parsed = parseLength(text, this.units);
    if (!fault && parsed.ok) return { mm: parsed.mm, by, typed: text.slice(0, 60) };
    this.faults[path] = fault ?? '';
    if (!last && !field.optional) this.missing = true;
    return last;
  }

  private number(field: NumberField, line: string, last: number | undefined, path: string): number | undefined {
    const text = line.trim();
    if (text === '') return field.default;
    const fault = numberFault(text, { min: field.min, max: field.max, whole: field.whole ?? false, unit: field.unit });
    if (!fault) return readNumber(text, field.unit);
    this.faults[path] = fault;
    return last;
  }

  private list(
    draft: ThingDraft,
    { list, usually }: ThingDefinition,
    prefix: string,
    was: ThingSpec | undefined,
  ): Record<string, readonly ThingEntry[]> {
    if (!list || draft.entries.length === 0) return {};
    const last = (was?.[list.key] as readonly ThingEntry[] | undefined) ?? [];
    // an entry more or less: no telling which of them was which
    const known = last.length === draft.entries.length ? last : [];
    const fields: Pick<ThingList, 'measures' | 'numbers'> & Pick<ThingDefinition, 'usually'> = {
      ...list,
      ...(usually ? { usually } : {}),
    };
    return {
      [list.key]: draft.entries.map((entry, index) =>
        this.lines(entry, fields, `${prefix}${list.key}[${index}].`, known[index]),
      ),
    };
  }

  private members(draft: ThingDraft, was: ThingSpec | undefined): ThingSpec[] {
    const last = (was?.members as readonly ThingSpec[] | undefined) ?? [];
    const known = last.length === draft.members.length ? last : [];
    if (draft.members.length === 0) {
      this.faults.members = 'Nothing in it yet. Add what it is to hold.';
      this.missing = true;
    }
    return draft.members.map((member, index) => this.thing(member, `members[${index}].`, known[index]));
  }

  private oneOf(
    { oneOf, measures }: ThingDefinition,
    thing: ThingSpec,
    prefix: string,
    was: ThingSpec | undefined,
  ): void {
    if (!oneOf || oneOf.some((key) => thing[key] !== undefined || this.faults[prefix + key])) return;
    const names = measures.filter(({ key }) => oneOf.includes(key)).map(({ label }) => `“${label}”`);
    this.faults[prefix + oneOf[0]] = `Nothing typed yet. ${names.join(' or ')}: one of them is needed.`;
    const kept = oneOf.find((key) => was?.[key] !== undefined);
    if (kept) thing[kept] = was![kept];
    else this.missing = true;
  }
}
