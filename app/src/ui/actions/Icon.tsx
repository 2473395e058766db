import Svg, { Circle, Path, Rect } from 'react-native-svg';

export type IconName =
  | 'bench'
  | 'things'
  | 'yarn'
  | 'ledger'
  | 'settings'
  | 'back'
  | 'undo'
  | 'redo'
  | 'close'
  | 'larger'
  | 'smaller'
  | 'whole'
  | 'down'
  | 'more'
  | 'search'
  | 'done';

interface Props {
  name: IconName;
  colour: string;
  size?: number;
}

const SHAPES: Readonly<Record<IconName, (line: object) => React.ReactNode>> = {
  // a strip of work on the bench's edge
  bench: (line) => (
    <>
      <Path d="M2 17h20M6 17V9h10v4" {...line} />
      <Path d="M16 13h5" {...line} />
    </>
  ),
  // things of different heights on a shelf
  things: (line) => (
    <>
      <Rect x="3" y="10" width="5" height="9" {...line} />
      <Rect x="10" y="5" width="5" height="14" {...line} />
      <Rect x="17" y="12" width="4" height="7" {...line} />
      <Path d="M1 20.5h22" {...line} />
    </>
  ),
  yarn: (line) => (
    <>
      <Circle cx="11" cy="12" r="8" {...line} />
      <Path d="M4 9c4 2 10 3 14.5 0M5 16c4-4 7-8 8-12M18 16c2 2 3 3 5 3" {...line} />
    </>
  ),
  ledger: (line) => (
    <>
      <Rect x="4" y="3" width="16" height="18" {...line} />
      <Path d="M8 8h8M8 12h8M8 16h5" {...line} />
    </>
  ),
  // two sliders on their rails
  settings: (line) => (
    <>
      <Path d="M3 8h18M3 16h18" {...line} />
      <Circle cx="9" cy="8" r="2.6" {...line} fill={'currentColor'} />
      <Circle cx="16" cy="16" r="2.6" {...line} fill={'currentColor'} />
    </>
  ),
  back: (line) => <Path d="M15 4l-8 8 8 8" {...line} />,
  undo: (line) => <Path d="M8 4L4 8l4 4M4 8h10a6 6 0 010 12H9" {...line} />,
  redo: (line) => <Path d="M16 4l4 4-4 4M20 8H10a6 6 0 000 12h5" {...line} />,
  larger: (line) => <Path d="M14 10l6-6M15 4h5v5M10 14l-6 6M9 20H4v-5" {...line} />,
  smaller: (line) => <Path d="M20 4l-6 6M19 10h-5V5M4 20l6-6M5 14h5v5" {...line} />,
  // the four corners of the whole sheet
  whole: (line) => <Path d="M4 9V4h5M15 4h5v5M20 15v5h-5M9 20H4v-5" {...line} />,
  down: (line) => <Path d="M5 9l7 7 7-7" {...line} />,
  done: (line) => <Path d="M4 13l5 5L20 6" {...line} />,
  search: (line) => (
    <>
      <Circle cx="10" cy="10" r="6.5" {...line} />
      <Path d="M15 15l6 6" {...line} />
    </>
  ),
  // the ends of three threads
  more: (line) => <Path d="M5 6h14M5 12h14M5 18h8" {...line} />,
  close: (line) => <Path d="M5 5l14 14M19 5L5 19" {...line} />,
};

/** Our own drawn signs; the app ships no icon font. */
export function Icon({ name, colour, size = 24 }: Props) {
  const line = { stroke: colour, strokeWidth: 2, fill: 'none' };
  return (
    <Svg width={size} height={size} viewBox="0 0 24 24" color={colour} aria-hidden>
      {SHAPES[name](line)}
    </Svg>
  );
}
