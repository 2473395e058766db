import { rowMinutes, TIME_SPREAD } from '../../reckon/supplies';
import type { MakingStep } from './copies';
import type { KeptEvent } from './events';
import { inOrder } from './order';
import { standingEvents, stepsTicked } from './ticks';

/** How fast a make goes, by when its rows were ticked. */
export interface Pace {
  /** Minutes at the hook so far, pauses left out. */
  minutes: number;
  /** How much longer than usual a row takes, as a factor, and how surely that is known, as a fraction. */
  factor: number;
  spread: number;
  /** The factor that the ticks alone show. */
  seen: number;
  /** Times it was sat down to. */
  sittings: number;
}

/** A gap between ticks counts from a fifth to three times the time its rows usually take (handbook 7). */
const LEAST_SHARE = 1 / 5;
const MOST_TIMES = 3;

/** How much one sitting, and one row, differs from the next, as a fraction (priors; handbook 7, and ours). */
export const SITTING_SPREAD = 0.15;
const ROW_SPREAD = 0.3;

/** Rows ticked one after the other, and the time between. */
interface Gap {
  minutes: number;
  /** What they usually take. */
  usual: number;
  rows: number;
}

/**
 * The pace of a make from its log: gaps between ticks of one device, quicker ticks sharing the gap before them, longer gaps
 * being pauses; what few rows show is held towards the pace that was reckoned with (handbook 7).
 *
 * @param steps the steps as hands go through them
 * @param reckoned the factor the plan was reckoned with, and its spread
 * @returns undefined before two rows were ticked at the hook's own pace
 */
export function paceOf(
  steps: readonly MakingStep[],
  events: readonly KeptEvent[],
  reckoned: { factor: number; spread: number } = { factor: 1, spread: TIME_SPREAD },
): Pace | undefined {
  const sittings = sittingsOf(gapsBetween(steps, inOrder(events)));
  if (sittings.length === 0) return undefined;
  const before = 1 / reckoned.spread ** 2;
  const seen = sittings.map(({ minutes, usual, rows }) => ({
    log: Math.log(minutes / usual),
    weight: 1 / (SITTING_SPREAD ** 2 + ROW_SPREAD ** 2 / rows),
  }));
  const weights = seen.reduce((sum, { weight }) => sum + weight, before);
  const logs = seen.reduce((sum, { log, weight }) => sum + weight * log, before * Math.log(reckoned.factor));
  const minutes = sittings.reduce((sum, sitting) => sum + sitting.minutes, 0);
  return {
    minutes,
    factor: Math.exp(logs / weights),
    spread: 1 / Math.sqrt(weights),
    seen: minutes / sittings.reduce((sum, { usual }) => sum + usual, 0),
    sittings: sittings.length,
  };
}

/** Gaps device by device; nothing across a pause that was said, or a decision that pulled work out. */
function gapsBetween(steps: readonly MakingStep[], ordered: readonly KeptEvent[]): Gap[][] {
  const usual = new Map(steps.map(({ id, work, row }) => [id, work && row !== null ? rowMinutes(work) : 0]));
  const ticked = new Map(
    stepsTicked(ordered, steps).flatMap(({ step, by }) => (by.kind === 'ticked' ? [[by.id, step]] : [])),
  );
  const devices = new Map<string, { last: number | undefined; gaps: Gap[] }>();
  for (const event of standingEvents(ordered)) {
    const device = devices.get(event.device) ?? { last: undefined, gaps: [] };
    devices.set(event.device, device);
    if (event.kind === 'paused' || event.kind === 'resumed' || event.kind === 'decided' || event.kind === 'placed')
      device.last = undefined;
    if (event.kind !== 'ticked') continue;
    const at = Date.parse(event.at) / 60_000;
    const row = usual.get(ticked.get(event.id) ?? '') ?? 0;
    if (device.last !== undefined && row > 0) addGap(device.gaps, at - device.last, row);
    device.last = at;
  }
  return [...devices.values()].map(({ gaps }) => gaps);
}

function addGap(gaps: Gap[], minutes: number, usual: number): void {
  const last = gaps.at(-1);
  if (last && minutes < LEAST_SHARE * usual) {
    last.minutes += Math.max(0, minutes);
    last.usual += usual;
    last.rows += 1;
    return;
  }
  gaps.push({ minutes, usual, rows: 1 });
}

/** What was worked in one go, from pause to pause. */
function sittingsOf(devices: readonly (readonly Gap[])[]): Gap[] {
  return devices.flatMap((gaps) => {
    const sittings: Gap[] = [];
    let sitting: Gap | undefined;
    for (const { minutes, usual, rows } of gaps) {
      if (minutes > MOST_TIMES * usual) sitting = undefined;
      if (minutes > MOST_TIMES * usual || minutes < LEAST_SHARE * usual) continue;
      if (!sitting) sittings.push((sitting = { minutes: 0, usual: 0, rows: 0 }));
      sitting.minutes += minutes;
      sitting.usual += usual;
      sitting.rows += rows;
    }
    return sittings;
  });
}
