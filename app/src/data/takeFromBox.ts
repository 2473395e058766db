import { isFinished, usedGrams, yarnOf, type Plan } from '@keep-snug/core';
import type { YarnRecord } from '@keep-snug/core/documents';
import { useEvents } from './events';
import { useLibrary } from './library';

/**
 * What the box has of a yarn once a make has used so much of it: only what it had not taken before goes off, and what it did not
 * use after all comes back.
 */
export function takenBy(record: YarnRecord, make: string, used: number): YarnRecord {
  if (record.gramsLeft === undefined) return record;
  const { [make]: before = 0, ...others } = record.taken ?? {};
  const there = record.gramsLeft + before;
  // more than there was cannot have been of it
  const takes = Math.min(used, there);
  const { taken: _taken, ...rest } = record;
  const taken = takes > 0 ? { ...others, [make]: takes } : others;
  return {
    ...rest,
    gramsLeft: Math.round(10 * (there - takes)) / 10,
    ...(Object.keys(taken).length > 0 ? { taken } : {}),
  };
}

/** Puts the yarn box in step with a make: with what it has used by now, or nothing of it where the make is gone. */
export function settleYarn(make: string): void {
  const { shelves, change } = useLibrary.getState();
  const held = shelves.makes[make];
  if (!held) return;
  const yarn = yarnIn(held.body.plan);
  if (!yarn) return;
  const events = useEvents.getState().byMake[make] ?? [];
  // what was finished has used its yarn, whether or not the ledger still has it
  if (held.gone && isFinished(events)) return;
  const used = held.gone ? 0 : usedGrams(events);
  const [id, body] = yarn;
  if (used !== (body.taken?.[make] ?? 0)) change('yarns', id, takenBy(body, make, used));
}

/** The yarn of the box that a plan is worked in; nothing where the box does not know it. */
function yarnIn({ fabric }: Plan): [string, YarnRecord] | undefined {
  const { name } = yarnOf(fabric);
  const found = Object.entries(useLibrary.getState().shelves.yarns).find(
    ([, { body, gone }]) => !gone && name !== undefined && body.name === name,
  );
  return found && [found[0], found[1].body];
}
