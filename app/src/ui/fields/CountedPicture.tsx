import type { Counted } from '@keep-snug/core';
import { Path, Rect, Svg } from '@/ui/layout/ink';
import { useColours } from '@/theme/useTheme';

/** Stitches drawn, their size, and where the tape lies over them: from, to, in stitches. */
const STITCHES = 7;
const SIZE = 18;
const LIES: Readonly<Record<Counted, readonly [from: number, to: number]>> = {
  edges: [1, 6],
  whole: [1, 6.5],
  anywhere: [0.6, 6.4],
  reaching: [1, 5.6],
};

/** Which of them are counted. */
const [FIRST, BEYOND] = [1, 6];

/** A row of stitches with the tape over it: those that are counted are drawn full. */
export function CountedPicture({ counted }: { counted: Counted }) {
  const colours = useColours();
  const [from, to] = LIES[counted];
  const stitch = (index: number) => {
    const x = index * SIZE;
    return `M${x + 2} 16L${x + SIZE / 2} 30L${x + SIZE - 2} 16`;
  };
  const path = (counts: boolean) =>
    Array.from({ length: STITCHES }, (_, index) => index)
      .filter((index) => (index >= FIRST && index < BEYOND) === counts)
      .map(stitch)
      .join('');
  const ticks = Array.from({ length: Math.floor((to - from) * 2) + 1 }, (_, index) => from * SIZE + (index * SIZE) / 2);
  return (
    <Svg width={STITCHES * SIZE} height={36} aria-hidden>
      <Path d={path(false)} fill="none" stroke={colours.hatch} strokeWidth={2} opacity={0.6} />
      <Path d={path(true)} fill="none" stroke={colours.ink} strokeWidth={3} />
      <Rect x={from * SIZE} y={0} width={(to - from) * SIZE} height={12} fill={colours.tape} />
      <Path d={ticks.map((x) => `M${x} 0V5`).join('')} stroke={colours.tapeInk} strokeWidth={1} fill="none" />
      <Path d={`M${from * SIZE} 0V34M${to * SIZE} 0V34`} stroke={colours.ink} strokeWidth={1} fill="none" />
    </Svg>
  );
}
