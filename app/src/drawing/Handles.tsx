import { applyChange, formatKnown, type Choice, type LengthUnit, type Plan, type View } from '@keep-snug/core';
import { memo, useCallback, useEffect, useRef } from 'react';
import { View as Box, type ViewStyle } from 'react-native';
import { useFocusRing } from '@/ui/actions/useFocusRing';
import { useBoard } from '@/data/board';
import { useColours } from '@/theme/useTheme';
import { drawnCount, drawnValue, handlesOf, rangeOf, stepsOf, type Handle } from './handles';
import { Block } from '@/ui/layout/ink';
import { KNOB, type Layout } from '@keep-snug/core/drawn';

interface Props {
  view: View;
  choices: readonly Choice[];
  layout: Layout;
  edit: (work: (plan: Plan) => Plan) => void;
  /** Whether the drawing is the left hand's. */
  mirrored: boolean;
  units: LengthUnit;
}

const TARGET = 44;

/** What can be drawn on the drawing: knobs at the ends of its dimensions, which click to whole stitches and rows. */
export function Handles({ view, choices, ...hand }: Props) {
  return handlesOf(view, choices).map((handle) => (
    <Knob key={handle.choice?.id ?? handle.drive?.path} handle={handle} {...hand} />
  ));
}

function Knob({ handle, layout, edit, mirrored, units }: { handle: Handle } & Omit<Props, 'view' | 'choices'>) {
  const { ring, onFocus, onBlur } = useFocusRing();
  const { moves, rests } = useHand();
  const start = useRef<{ at: number; handle: Handle } | null>(null);
  const { dimension, choice, drive } = handle;
  const across = dimension.along === 'x';
  // mirrored, a length grows to the left
  const sign = across && mirrored ? -1 : 1;
  const end = (across && mirrored ? dimension.from : dimension.to) * layout.scale;
  const beside = (dimension.at ?? 0) * layout.scale;
  const x = across ? layout.x + end : layout.x + beside - 14;
  const y = across ? layout.y + beside - 14 : layout.y + end;

  const chosen = choice?.options.find((option) => option.chosen);
  const now = chosen?.count ?? Math.round(drive?.value ?? 0);
  const range = rangeOf(handle);

  const set = (from: Handle, to: number) => {
    if (to === (from.choice ? now : drive?.value)) return;
    const path = from.choice ? `picks.${from.choice.id}` : from.drive.path;
    edit((plan) => applyChange(plan, { [path]: to }));
  };
  const dragBy = (from: Handle, byMm: number) => {
    set(from, from.choice ? drawnCount(from.choice, byMm) : drawnValue(from.drive, byMm));
  };
  const step = () => (choice ? stepsOf(choice).count * stepsOf(choice).mm : drive.step);
  const letGo = () => {
    start.current = null;
    useBoard.getState().hold(false);
    rests();
  };
  const events = {
    onPointerDown: (event: PointerEvent) => {
      event.stopPropagation();
      // no mouse events beside the pointer's own: every movement would be told twice
      event.preventDefault();
      (event.currentTarget as HTMLElement).setPointerCapture(event.pointerId);
      (event.currentTarget as HTMLElement).focus();
      start.current = { at: across ? event.clientX : event.clientY, handle };
      useBoard.getState().hold(true);
      moves();
    },
    onPointerMove: (event: PointerEvent) => {
      if (!start.current) return;
      moves();
      const now = across ? event.clientX : event.clientY;
      dragBy(start.current.handle, (sign * (now - start.current.at)) / layout.scale);
    },
    onPointerUp: letGo,
    onPointerCancel: letGo,
    onLostPointerCapture: letGo,
    onKeyDown: (event: KeyboardEvent) => {
      const way = { ArrowRight: 1, ArrowUp: 1, ArrowLeft: -1, ArrowDown: -1 }[event.key];
      const end = { Home: range.min, End: range.max }[event.key];
      if (way === undefined && end === undefined) return;
      event.preventDefault();
      event.stopPropagation();
      if (end !== undefined) set(handle, end);
      else dragBy(handle, way! * step());
    },
  };
  const words = choice
    ? `${chosen!.count} ${choice.noun}, ${formatKnown(dimension.mm, dimension.sd, units)}`
    : formatKnown(dimension.mm, dimension.sd, units);
  return (
    <Block
      {...(events as object)}
      role="slider"
      tabIndex={0}
      aria-label={`${choice ? choice.name : nameOf(handle)}, drawn`}
      aria-valuemin={range.min}
      aria-valuemax={Math.max(now, range.max)}
      aria-valuenow={now}
      aria-valuetext={words}
      onFocus={onFocus}
      onBlur={onBlur}
      style={
        {
          ...GRIP,
          cursor: across ? 'ew-resize' : 'ns-resize',
          left: x - TARGET / 2,
          top: y - TARGET / 2,
        } as unknown as ViewStyle
      }
    >
      <Face ring={ring} across={across} />
    </Block>
  );
}

const GRIP = {
  position: 'absolute',
  display: 'flex',
  width: TARGET,
  height: TARGET,
  alignItems: 'center',
  justifyContent: 'center',
  touchAction: 'none',
  outlineWidth: 0,
} as const;

/** What is seen of a knob. */
const Face = memo(function Face({ ring, across }: { ring: boolean; across: boolean }) {
  const colours = useColours();
  return (
    <Box
      style={{
        width: KNOB,
        height: KNOB,
        borderRadius: KNOB / 2,
        borderWidth: ring ? 4 : 2,
        borderColor: colours.sea,
        backgroundColor: colours.surface,
        flexDirection: across ? 'row' : 'column',
        alignItems: 'center',
        justifyContent: 'center',
        gap: 3,
      }}
    >
      {[0, 1].map((line) => (
        <Box
          key={line}
          style={
            across
              ? { width: 1.5, height: 8, backgroundColor: colours.sea }
              : { width: 8, height: 1.5, backgroundColor: colours.sea }
          }
        />
      ))}
    </Box>
  );
});

/** A hand that has not moved for so many looks at it, each so long after the last, rests, ms. */
const LOOKS = 3;
const LOOK_MS = 100;

/** Tells the board whether a hand moves, and takes it for resting once it is still. */
function useHand(): { moves: () => void; rests: () => void } {
  // looks are counted, not time: while the page was held up by something no hand could be seen to move
  const looks = useRef(0);
  const watch = useRef<ReturnType<typeof setInterval>>(undefined);
  const rests = useCallback(() => {
    clearInterval(watch.current);
    watch.current = undefined;
    useBoard.getState().drag(false);
  }, []);
  const moves = useCallback(() => {
    looks.current = 0;
    watch.current ??= setInterval(() => {
      looks.current += 1;
      if (looks.current >= LOOKS) rests();
    }, LOOK_MS);
    useBoard.getState().drag(true);
  }, [rests]);
  useEffect(() => rests, [rests]);
  return { moves, rests };
}

function nameOf({ dimension, drive }: Handle): string {
  if (drive?.path === 'fit.coverMm') return 'Height';
  return dimension.count ? 'Flap' : 'Length';
}
