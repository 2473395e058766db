import { formatLength, formatOnTape, MM_PER, type LengthUnit } from './length';

/** Steps a length is shown in, mm. None of 2 and 20: 166.4 as `16 cm` reads as if it had been cut off, not rounded. */
const STEPS_MM = [1, 5, 10, 50] as const;

/** In inches: up to which uncertainty, mm, which step, in. */
const STEPS_IN = [
  { below: 1.5, step: 1 / 16 },
  { below: 4.5, step: 1 / 8 },
  { below: 9, step: 1 / 4 },
  { below: 20, step: 1 / 2 },
] as const;

/**
 * How finely a length is shown that is known to so much, mm: no finer than it is known, and never below a millimetre.
 *
 * @param sd standard uncertainty, mm
 */
export function shownStep(sd: number, unit: LengthUnit = 'mm'): number {
  if (unit === 'in') return (STEPS_IN.find(({ below }) => sd < below)?.step ?? 1) * MM_PER.in;
  return STEPS_MM.reduce<number>((step, next) => (next <= sd ? next : step), 1);
}

/**
 * A calculated length for reading, no finer than it is known: 94.2 ± 2.6 is `94 mm`, 204.5 ± 33 is `200 mm`.
 *
 * @param sd standard uncertainty, mm; a millimetre where nothing is said
 */
export function formatKnown(mm: number, sd = 1, unit: LengthUnit = 'mm'): string {
  const step = shownStep(sd, unit);
  return formatLength(Math.round(mm / step) * step, unit);
}

/** The difference of two lengths: what is less than half its own uncertainty is nothing, `within 6 mm`. */
export function formatDifference(mm: number, sd: number, unit: LengthUnit = 'mm'): string {
  if (Math.abs(mm) < sd / 2) return `within ${formatKnown(sd, sd, unit)}`;
  const sign = mm > 0 ? '+' : '−';
  return `${sign}${formatKnown(Math.abs(mm), sd, unit)}`;
}

/** A length to cut: up to the next centimetre, or half inch. */
export function formatCut(mm: number, unit: LengthUnit = 'mm'): string {
  const step = unit === 'in' ? MM_PER.in / 2 : 10;
  return formatOnTape(Math.ceil(mm / step - 1e-9) * step, unit);
}

/** Metres or grams that are about right: to 10 from 50 on, to 5 from 20 on, below that to whole ones. */
export function roundedAmount(value: number): number {
  const step = value >= 50 ? 10 : value >= 20 ? 5 : 1;
  return Math.max(1, Math.round(value / step) * step);
}

/** A weight for reading, no finer than it is known: 356 ± 60 is `350 g`. */
export function formatKnownGrams(grams: number, sd = 0): string {
  const step = sd > 0 ? shownStep(sd) : 1;
  return `${Math.round(grams / step) * step} g`;
}
