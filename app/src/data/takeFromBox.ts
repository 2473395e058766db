import { yarnOf, type Plan } from '@keep-snug/core';
import { useLibrary } from './library';

/** Takes what was used of a plan's yarn off what the box has of it; nothing where the box does not know the yarn, or its weight. */
export function takeFromBox({ fabric }: Plan, grams: number): void {
  const { shelves, change } = useLibrary.getState();
  const { name } = yarnOf(fabric);
  const found = Object.entries(shelves.yarns).find(([, { body, gone }]) => !gone && name && body.name === name);
  if (!found) return;
  const [id, { body }] = found;
  if (body.gramsLeft === undefined) return;
  change('yarns', id, { ...body, gramsLeft: Math.max(0, Math.round(10 * (body.gramsLeft - grams)) / 10) });
}

/** Of so much that was used, what weighings on the way have not taken off yet. */
export function notYetTaken(grams: number, weighed: readonly number[]): number {
  const [first] = weighed;
  const last = weighed.at(-1);
  return first === undefined || last === undefined ? grams : Math.max(0, grams - Math.max(0, first - last));
}
