import { FRAME, type Frame, type FrameRole } from '@keep-snug/core/techniques';
import { Path, Svg } from '@/ui/layout/ink';
import type { Colours } from '@/theme/colours';
import { useColours } from '@/theme/useTheme';

/** How each line is drawn: colour and weight. */
const INK: Readonly<Record<FrameRole, { of: keyof Colours; width: number }>> = {
  cloth: { of: 'line', width: 4 },
  place: { of: 'thread', width: 6 },
  hook: { of: 'ink', width: 6 },
  loop: { of: 'sea', width: 4.5 },
  new: { of: 'lichen', width: 5.5 },
  closing: { of: 'rowan', width: 4.5 },
  yarn: { of: 'sea', width: 3 },
};

interface Props {
  frame: Frame;
  width: number;
  /** What it shows, for whoever does not see it. */
  says: string;
}

/** Hook and loops at one move. What is new is drawn before one’s eyes, unless less movement is asked for. */
export function MovePicture({ frame, width, says }: Props) {
  const colours = useColours();
  return (
    <Svg
      {...{ role: 'img', 'aria-label': says }}
      width={width}
      height={(width * FRAME.height) / FRAME.width}
      viewBox={`0 0 ${FRAME.width} ${FRAME.height}`}
    >
      {frame.lines.map(({ role, d }, index) => (
        <Path
          key={`${index} ${d}`}
          {...(role === 'new' ? { 'data-drawn': true, pathLength: 1 } : {})}
          d={d}
          fill="none"
          stroke={colours[INK[role].of] as string}
          strokeWidth={INK[role].width}
          strokeLinecap="round"
          strokeLinejoin="round"
        />
      ))}
    </Svg>
  );
}
