import { formatNumber, type LengthUnit, type Worked } from '@keep-snug/core';
import { GAUGE_OVER } from '@/parts/gaugeOver';

/**
 * A gauge as makers say it, to the nearest half, and of an estimate to whole ones: the size of one stitch says nothing in
 * sixteenths of an inch.
 */
export function gaugeText({ stitchWidth, rowHeight }: Worked['fabric'], units: LengthUnit): string {
  const { mm, words } = GAUGE_OVER[units];
  const isEstimate = stitchWidth.kind === 'prior';
  const per = (size: number) =>
    isEstimate ? String(Math.round(mm / size)) : formatNumber(Math.round((2 * mm) / size) / 2, 1);
  return `${isEstimate ? 'about ' : ''}${per(stitchWidth.value)} stitches and ${per(rowHeight.value)} rows to ${words}`;
}
