import type { Point } from '@keep-snug/core/photograph';
import { createElement, useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import { Block, Circle, Path, Svg } from '@/ui/layout/ink';
import type { ViewStyle } from 'react-native';
import { useFocusRing } from '@/ui/actions/useFocusRing';
import { useColours } from '@/theme/useTheme';
import type { Picture } from './picture';

/** A finger's target, px; where in it the plumb bob's point is. */
const TARGET = { width: 48, height: 64, point: { x: 24, y: 12 } } as const;
const GLASS = 112;
const LARGER = 3;

interface Props {
  name: string;
  /** In px of the picture. */
  at: Point;
  /** Px of the screen in one of the picture. */
  scale: number;
  picture: Picture;
  onMove: (to: Point) => void;
  onDone: () => void;
}

const STEPS: Readonly<Record<string, Point>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

/** A small plumb bob that hangs from a place of the picture; while it is moved, a glass above the finger shows it larger. */
export function Bob({ name, at, scale, picture, onMove, onDone }: Props) {
  const colours = useColours();
  const { ring, onFocus, onBlur } = useFocusRing();
  const [held, setHeld] = useState(false);
  const from = useRef<{ x: number; y: number; at: Point } | null>(null);
  const { width, height } = picture.grey;
  const within = ([x, y]: Point): Point => [Math.max(0, Math.min(width, x)), Math.max(0, Math.min(height, y))];
  const events = {
    onPointerDown: (event: PointerEvent<HTMLElement>) => {
      event.preventDefault();
      event.currentTarget.focus();
      event.currentTarget.setPointerCapture(event.pointerId);
      from.current = { x: event.clientX, y: event.clientY, at };
      setHeld(true);
    },
    onPointerMove: ({ clientX, clientY }: PointerEvent) => {
      const start = from.current;
      if (start) onMove(within([start.at[0] + (clientX - start.x) / scale, start.at[1] + (clientY - start.y) / scale]));
    },
    onPointerUp: () => {
      if (from.current) onDone();
      from.current = null;
      setHeld(false);
    },
    onKeyDown: (event: KeyboardEvent) => {
      const step = STEPS[event.key];
      if (!step) return;
      event.preventDefault();
      const by = event.shiftKey ? 10 : 1;
      onMove(within([at[0] + by * step[0], at[1] + by * step[1]]));
      onDone();
    },
  };
  return (
    <>
      {held ? <Glass at={at} scale={scale} picture={picture} /> : null}
      <Block
        role="button"
        aria-label={`${name}. Arrow keys move it.`}
        {...({ tabIndex: 0, onFocus, onBlur, ...events, onPointerCancel: events.onPointerUp } as object)}
        style={
          {
            ...STYLES.bob,
            left: at[0] * scale - TARGET.point.x,
            top: at[1] * scale - TARGET.point.y,
            outline: ring ? `3px solid ${colours.sea}` : 'none',
          } as unknown as ViewStyle
        }
      >
        <Svg width={TARGET.width} height={TARGET.height} aria-hidden>
          <Path d="M24 20L33 34Q33 46 24 56Q15 46 15 34Z" fill={colours.tape} stroke={colours.ink} strokeWidth={1.5} />
          <Path d="M24 12V22" stroke={colours.ink} strokeWidth={2} />
          <Circle cx={24} cy={12} r={5} fill="none" stroke={colours.ink} strokeWidth={1} />
          <Circle cx={24} cy={12} r={4} fill="none" stroke={colours.tape} strokeWidth={1.5} />
        </Svg>
      </Block>
    </>
  );
}

const STYLES = {
  bob: {
    position: 'absolute',
    width: TARGET.width,
    height: TARGET.height,
    touchAction: 'none',
    cursor: 'grab',
  },
} as const;

function Glass({ at, scale, picture }: Pick<Props, 'at' | 'scale' | 'picture'>) {
  const colours = useColours();
  const { width, height } = picture.grey;
  const shown = scale * LARGER;
  const [x, y] = [at[0] * scale, at[1] * scale];
  // above the finger, or below it where there is no room
  const top = y > GLASS + 40 ? y - GLASS - 32 : y + 72;
  const left = Math.max(0, Math.min(width * scale - GLASS, x - GLASS / 2));
  return createElement(
    'div',
    {
      'aria-hidden': true,
      style: {
        position: 'absolute',
        left,
        top,
        width: GLASS,
        height: GLASS,
        borderRadius: GLASS / 2,
        border: `3px solid ${colours.tape}`,
        boxSizing: 'border-box',
        pointerEvents: 'none',
        backgroundImage: `url(${picture.uri})`,
        backgroundRepeat: 'no-repeat',
        backgroundColor: colours.slab,
        backgroundSize: `${width * shown}px ${height * shown}px`,
        backgroundPosition: `${GLASS / 2 - 3 - at[0] * shown}px ${GLASS / 2 - 3 - at[1] * shown}px`,
        zIndex: 5,
      },
    },
    <Svg width={GLASS} height={GLASS} aria-hidden>
      <Path
        d={`M${GLASS / 2 - 3} ${GLASS / 2 - 17}v28M${GLASS / 2 - 17} ${GLASS / 2 - 3}h28`}
        stroke={colours.rowan}
        strokeWidth={1}
      />
    </Svg>,
  );
}
