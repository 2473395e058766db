import Svg, { Path } from 'react-native-svg';
import { useColours } from '@/theme/useTheme';

/** How long a thread is drawn, px, and how high. */
const LONG = 56;
const HIGH = 18;
/** One turn of its twist, px: each thread of several has a twist of its own, so that hue is never alone. */
const TWISTS = [7, 11, 5, 14, 9] as const;

interface Props {
  hex: string;
  /** Which of several it is. */
  number: number;
}

/** A yarn as a short twisted thread in its colour. */
export function Thread({ hex, number }: Props) {
  const colours = useColours();
  const turn = TWISTS[number % TWISTS.length]!;
  const lines = Array.from({ length: Math.floor(LONG / turn) }, (_, index) => {
    const x = index * turn + 2;
    return `M${x} ${HIGH - 3}q${turn / 2} -2 ${turn} -${HIGH - 6}`;
  });
  return (
    <Svg width={LONG + 4} height={HIGH} aria-hidden>
      <Path
        d={`M3 ${HIGH / 2}a6 6 0 016 -6h${LONG - 12}a6 6 0 010 12h-${LONG - 12}a6 6 0 01-6 -6Z`}
        fill={hex}
        stroke={colours.ink}
        strokeWidth={1}
      />
      <Path d={lines.join('')} fill="none" stroke={colours.ink} strokeWidth={1} opacity={0.55} />
    </Svg>
  );
}
