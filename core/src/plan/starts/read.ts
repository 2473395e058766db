import { lengthFault, parseLength, typedLength, type LengthField, type LengthUnit } from '../../base/units';
import type { FabricSpec } from '../../craft/fabric';
import { carrierDefinition, thingDefinition, usualMethod, type Measure, type ThingSpec } from '../../craft/things';
import { applyChange } from '../change';
import { firstFittings } from '../lowered';
import { PLAN_FORMAT, type Plan } from '../plan';
import { begunAs } from '../withShape';
import type { StartAsk, StartDefinition } from './definition';
import { readSizes } from './sizes';

type LengthAsk = Extract<StartAsk, { kind: 'length' }>;

/** A start with what was said to it so far. */
export interface ReadStart {
  /** A whole plan: what is not said yet is as it often is, so that there is something to see. */
  plan: Plan;
  /** What is wrong or missing, by where the answer goes. */
  faults: Readonly<Record<string, string>>;
}

/**
 * A start as the plan it becomes.
 *
 * @param texts what was typed, by where the answer goes; lengths in any unit
 * @param fabric what it is to be worked in
 * @param units those of a number without one
 * @returns never throws: what cannot be read is told in `faults`, and is drawn as it often is
 */
export function readStart(
  start: StartDefinition,
  texts: Readonly<Record<string, string>>,
  fabric: FabricSpec,
  units: LengthUnit,
): ReadStart {
  const faults: Record<string, string> = {};
  const plan = start.asks.reduce(
    (before, ask) => {
      const text = texts[ask.at] ?? '';
      const read = ask.kind === 'sizes' ? readSizes(text, ask) : readLength(text, ask, start, units);
      if (read.fault !== undefined) faults[ask.at] = read.fault;
      return everyPath(before, ask.at).reduce((now, path) => applyChange(now, { [path]: read.value }), before);
    },
    begun(start, fabric),
  );
  return { plan: { ...plan, fittings: firstFittings(start.plan, plan.thing) }, faults };
}

/** How an ask is worded, and within what it is taken: as its kind of thing has it, in the words of the start. */
export function askedField(ask: LengthAsk, { plan }: StartDefinition): LengthField {
  const field = fieldOf(ask.at, plan)!;
  return { ...field, label: ask.label ?? field.label, help: ask.help ?? field.help };
}

/** A length as it would be typed that stands in a line before anything is. */
export const usualText = (ask: LengthAsk, units: LengthUnit): string => typedLength({ mm: ask.usualMm }, units);

function begun({ name, plan: { thing, shape, fit, carrier, stitch } }: StartDefinition, fabric: FabricSpec) {
  const plan: Plan = {
    format: PLAN_FORMAT,
    title: name,
    thing,
    fabric: stitch === undefined || fabric.gauge ? fabric : { ...fabric, stitch },
    shape: { ...begunAs(shape.kind), ...shape },
    fit,
  };
  return carrier ? { ...plan, carrier } : plan;
}

function readLength(
  text: string,
  ask: LengthAsk,
  start: StartDefinition,
  units: LengthUnit,
): { value: Measure; fault?: string } {
  const { min, max } = fieldOf(ask.at, start.plan)!;
  const usual: Measure = { mm: ask.usualMm };
  if (text.trim() === '' && ask.stands) return { value: usual };
  const fault = lengthFault(text, { min, max, units, optional: false });
  const parsed = parseLength(text, units);
  if (fault !== undefined || !parsed.ok) return { value: usual, fault: fault ?? '' };
  return { value: { mm: parsed.mm, by: methodOf(ask.at, start), typed: text.trim().slice(0, 60) } };
}

/** How such a measure is usually taken. */
function methodOf(at: string, { plan }: StartDefinition): NonNullable<Measure['by']> {
  const { holder, key } = placeOf(at, plan.thing);
  return usualMethod(thingDefinition(holder.kind)!, key);
}

/** Where in a thing an answer goes: in it, in one of those it holds, or in every entry of its list. */
function placeOf(at: string, thing: ThingSpec): { holder: ThingSpec; key: string } {
  const [, member, key] = /^(?:thing|carrier)(?:\.members\[(\d+)\]|\.\w+\[\*\])?\.(\w+)$/.exec(at)!;
  const members = (thing.members ?? []) as readonly ThingSpec[];
  return { holder: member === undefined ? thing : members[Number(member)]!, key: key! };
}

function fieldOf(at: string, { thing, carrier }: StartDefinition['plan']): LengthField | undefined {
  const { holder, key } = placeOf(at, thing);
  if (at.startsWith('carrier')) return carrierDefinition(carrier!.kind).measures.find((field) => field.key === key);
  const { measures, list } = thingDefinition(holder.kind)!;
  return (at.includes('[*]') ? list!.measures : measures).find((field) => field.key === key);
}

/** A path that stands for every entry of a list, as those there are. */
function everyPath({ thing }: Plan, at: string): string[] {
  const [list] = /\w+(?=\[\*\])/.exec(at) ?? [];
  if (list === undefined) return [at];
  return ((thing[list] ?? []) as readonly unknown[]).map((_, index) => at.replace('*', String(index)));
}
