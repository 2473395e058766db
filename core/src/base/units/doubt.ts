import { parseLength, type LengthUnit } from './length';

/** Units a bare number is likely to have been meant in, the likeliest first. */
const MEANT: readonly LengthUnit[] = ['mm', 'cm', 'in'];

/** Whether a unit was typed with the number; a fraction is in inches by itself. */
const isBare = (text: string) => /^[\d.,\s]+$/.test(text.trim());

/**
 * Whether a number without a unit was meant in another one: odd as it is read, usual when read as that (prior, handbook
 * 1). A question, never a refusal.
 *
 * @param text as typed
 * @param unit what a bare number is read as
 * @param usual what such a length usually lies between, mm
 * @returns the unit it was likely meant in
 */
export function unitDoubt(
  text: string,
  unit: LengthUnit,
  usual: readonly [low: number, high: number] | undefined,
): LengthUnit | undefined {
  if (!usual || !isBare(text)) return undefined;
  const fits = (as: LengthUnit) => {
    const read = parseLength(text, as);
    return read.ok && read.mm >= usual[0] && read.mm <= usual[1];
  };
  if (fits(unit) || !parseLength(text, unit).ok) return undefined;
  return MEANT.find((other) => other !== unit && fits(other));
}
