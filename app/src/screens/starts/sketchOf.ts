import { carrierDefinition, thingDefinition, type Plan, type Sketch, type ThingSpec } from '@keep-snug/core';

/** Where the tape is laid for an answer: in the sketch of the thing, of one it holds, or of what carries it. */
export function sketchOf(at: string, { thing, carrier }: Plan): { sketch: Sketch | undefined; at: string } {
  const key = at.slice(at.lastIndexOf('.') + 1);
  if (at.startsWith('carrier')) return { sketch: carrier && carrierDefinition(carrier.kind).sketch, at: key };
  const member = /members\[(\d+)\]/.exec(at);
  const holder = member ? (thing.members as readonly ThingSpec[])[Number(member[1])]! : thing;
  const { sketch, list } = thingDefinition(holder.kind)!;
  return { sketch, at: at.includes('[*]') ? `${list!.key}.${key}` : key };
}
