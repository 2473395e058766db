import {
  formatKnown,
  formatKnownGrams,
  formatLength,
  formatNumber,
  type Figure,
  type Kind,
  type LengthUnit,
  type Unit,
} from '@keep-snug/core';

/** A figure for reading: a length or a weight no finer than it is known. */
export function figureText({ value, unit, sd }: Pick<Figure, 'value' | 'unit' | 'sd'>, units: LengthUnit): string {
  if (!sd) return valueText(value, unit, units);
  if (unit === 'g') return formatKnownGrams(value, sd);
  return unit === 'mm' ? formatKnown(value, sd, units) : valueText(value, unit, units);
}

/** Below this a bare number is a part of something: a stretch, an ease. */
const A_PART = 0.2;

/** A value with its unit, in the reader's own, as finely as it is calculated. */
export function valueText(value: number, unit: Unit, units: LengthUnit): string {
  if (unit === 'mm') return formatLength(value, units);
  // a small part of something reads as so many in a hundred
  if (unit === '1')
    return Math.abs(value) < A_PART && value !== 0 ? `${formatNumber(100 * value)} %` : formatNumber(value, 3);
  const digits = unit === 'g' || unit === 'm' || unit === 'min' ? 1 : 2;
  return `${formatNumber(value, digits)} ${unit}`;
}

/** What kind of figure it is, in a word and in a sentence. */
export const KIND_WORDS: Readonly<Record<Kind, { word: string; says: string }>> = {
  law: { word: 'exact', says: 'Geometry or arithmetic: it holds exactly.' },
  prior: { word: 'estimate', says: 'A starting value. Measure, and it gives way to what you measured.' },
  measured: { word: 'measured', says: 'Comes from what was measured.' },
  chosen: { word: 'chosen', says: 'A choice, or a count decided on.' },
};
