import { fittingDefinition } from '../../fittings';
import { element } from './elements';
import { wordLengths, type LengthUnit } from '../../base/units';
import { cutBox, dashed, named, type TrueSize } from './trueSize';
import type { Worked } from '../../reckon/types';

/**
 * The lining’s cloth at its true size: where to cut, to fold, to sew and to turn in. Nothing where there is no lining.
 *
 * @source handbook 6 (lining) and 11
 */
export function cuttingSheet(
  { fittings, title }: Pick<Worked, 'fittings' | 'title'>,
  units: LengthUnit,
): TrueSize | null {
  const lining = fittings.find(({ kind }) => fittingDefinition(kind)?.cloth);
  if (!lining) return null;
  const { seam, top, toCut } = fittingDefinition(lining.kind)!.cloth!;
  const [width, height] = [lining.figures.wide!, lining.figures.long!].map(({ value }) => toCut(value)) as [
    number,
    number,
  ];
  return {
    name: `${title}: lining`,
    text: wordLengths(
      `Cut one piece of cloth {mm:${width}} × {mm:${height}}. Fold it across the middle. Seams of {mm:${seam}} at both sides, {mm:${top}} turned in at the top.`,
      units,
    ),
    width,
    height,
    drawn: [
      cutBox(0, 0, width, height),
      dashed(0, height / 2, width, height / 2),
      dashed(seam, 0, seam, height),
      dashed(width - seam, 0, width - seam, height),
      dashed(0, top, width, top),
      dashed(0, height - top, width, height - top),
      named('fold', width / 2, height / 2 - 2),
      named('turned in', width / 2, top - 2),
      named('turned in', width / 2, height - 3),
      standing('seam', seam + 6, height / 4),
    ].join(''),
  };
}

const standing = (text: string, x: number, y: number): string =>
  element('g', { transform: `rotate(-90 ${x} ${y})` }, named(text, x, y));
