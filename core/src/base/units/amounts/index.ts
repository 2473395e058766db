import { HOURS_TAKEN, MINUTES_TAKEN } from './duration';
import { HOOK } from './hook';
import { GRAMS } from './mass';
import { plainAmount } from './plain';
import type { Amount } from './reading';

export { formatDuration, HOURS_TAKEN, MINUTES_TAKEN, parseDuration } from './duration';
export { formatHook, HOOK, parseHook } from './hook';
export { formatGrams, GRAMS, massWith, parseMass } from './mass';
export { parseNumber } from './number';
export type { Amount, Reading } from './reading';
export { formatYarnage, parseYarnage, type Yarnage } from './yarnage';

const BY_UNIT: Readonly<Record<string, Amount>> = { g: GRAMS, h: HOURS_TAKEN, minutes: MINUTES_TAKEN, mm: HOOK };

/** How amounts in a unit are read and written; a unit with no grammar of its own is a plain number. */
export const amountIn = (unit: string): Amount => BY_UNIT[unit] ?? plainAmount(unit);
