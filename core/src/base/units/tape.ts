import { MM_PER, type LengthUnit } from './length';

export interface Tick {
  mm: number;
  /** 0 to 1: how far across the tape the tick reaches. */
  reach: number;
  label?: string;
}

const LADDER: Readonly<Record<'metric' | 'inch', readonly number[]>> = {
  metric: [1, 5, 10, 50, 100, 500, 1000],
  inch: [25.4 / 8, 25.4 / 4, 25.4 / 2, 25.4, 25.4 * 6, 25.4 * 12],
};

/** Closer than this, ticks blur; labels want more. In px. */
const TICK_APART = 4;
const LABEL_APART = 34;

/**
 * Ticks of a tape in the unit in use, as fine as the scale lets them be told apart.
 * @param lengthMm how long the tape is
 * @param scale px per mm
 */
export function tapeTicks(lengthMm: number, scale: number, unit: LengthUnit): Tick[] {
  const steps = LADDER[unit === 'in' ? 'inch' : 'metric'];
  const fine = steps.findIndex((step) => step * scale >= TICK_APART);
  const step = steps[fine === -1 ? steps.length - 1 : fine]!;
  const labelled = steps.find((s) => s * scale >= LABEL_APART && isWholeIn(s, unit)) ?? steps.at(-1)!;
  const middle = steps[fine + 1] ?? labelled;
  const ticks: Tick[] = [];
  for (let index = 0; index * step <= lengthMm + 1e-9; index += 1) {
    const mm = index * step;
    if (index > 0 && isMultiple(mm, labelled))
      ticks.push({ mm, reach: 0.62, label: String(Math.round(mm / shownUnit(unit))) });
    else ticks.push({ mm, reach: isMultiple(mm, middle) ? 0.42 : 0.26 });
  }
  return ticks;
}

/** A tape is read in whole centimetres or inches, whatever the fields use. */
function shownUnit(unit: LengthUnit): number {
  return unit === 'in' ? MM_PER.in : MM_PER.cm;
}

function isWholeIn(step: number, unit: LengthUnit): boolean {
  return isMultiple(step, shownUnit(unit));
}

function isMultiple(mm: number, step: number): boolean {
  const times = mm / step;
  return Math.abs(times - Math.round(times)) < 1e-6;
}
