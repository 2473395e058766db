import type { Mended, MendChoice, SizeMade } from '@keep-snug/core';
import { View } from 'react-native';
import { Words } from '@/ui/layout/Words';
import { SizesBeside } from '@/ui/lists/SizesBeside';

interface Props {
  mended: Mended;
  carryOn: MendChoice;
}

/** Less than this is what any two rows differ by. */
const ALIKE = 0.01;

/** What the tape says in a line; the finished size as planned and as it will be at the piece's own gauge, to one scale. */
export function PlannedAndNow({ mended: { worked, gauge }, carryOn }: Props) {
  const { width, height } = worked.outside;
  const sizes: SizeMade[] = [
    { of: 'width', planned: width.value, made: carryOn.outside.width },
    { of: 'height', planned: height.value, made: carryOn.outside.height },
  ];
  return (
    <View style={{ gap: 8 }}>
      <Words as="heading" level={3}>
        {`${verdict('wide', gauge.now.stitchWidth / gauge.planned.stitchWidth, gauge.read.stitches)}; ${verdict('high', gauge.now.rowHeight / gauge.planned.rowHeight, gauge.read.courses)}.`}
      </Words>
      <SizesBeside sizes={sizes} made="As you work it" />
    </View>
  );
}

/** @param read whether the tape has told it; the other follows by estimate */
function verdict(way: 'wide' | 'high', ratio: number, read: boolean): string {
  const percent = Math.round(100 * Math.abs(ratio - 1));
  const likely = read ? '' : ' probably';
  const subject = way === 'wide' ? `Your stitches are${likely}` : `your rows are${likely}`;
  if (Math.abs(ratio - 1) < ALIKE) return `${subject} as planned`;
  const word = way === 'wide' ? (ratio > 1 ? 'wider' : 'narrower') : ratio > 1 ? 'higher' : 'lower';
  return `${subject} ${percent} % ${word}${read ? '' : ', by estimate'}`;
}
