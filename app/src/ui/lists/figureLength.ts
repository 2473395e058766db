import { formatKnown, type LengthUnit } from '@keep-snug/core';

/** A size of a piece, no finer than a tape shows it, in one line. */
export const figureLength = (mm: number, units: LengthUnit): string =>
  formatKnown(mm, 1, units).replaceAll(' ', '\u00a0');
