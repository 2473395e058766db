import { useRef } from 'react';
import { Pressable, type GestureResponderEvent, type ViewStyle } from 'react-native';
import Svg, { Path } from 'react-native-svg';
import { useBox } from '@/ui/layout/useBox';
import { useFocusRing } from '@/ui/actions/useFocusRing';
import { Words } from '@/ui/layout/Words';
import { FAMILY } from '@/theme/type';
import { useColours } from '@/theme/useTheme';
import { useWide } from '@/theme/useWide';
import { courseWord, type Progress } from '@/reading/useProgress';

interface Props {
  progress: Progress;
  /** Stands beside the text instead of under it: the screen is low. */
  beside: boolean;
  onTick: () => void;
  onUndo: () => void;
}

/** A drag this far to the left takes the last row back, px. */
const DRAG_BACK = 70;

/** A second tap so soon is a trembling hand, not a second row, ms. */
const ONE_TAP_MS = 300;

/** Where a hand is; nowhere where a key was pressed instead. */
const placeOf = ({ nativeEvent }: Partial<GestureResponderEvent>): number | undefined => nativeEvent?.pageX;

/** The lower half of the screen: press for done, drag back to undo. */
export function Target({ progress, beside, onTick, onUndo }: Props) {
  const colours = useColours();
  const { box, onLayout } = useBox();
  const start = useRef<number | null>(null);
  const dragged = useRef(false);
  const pressed = useRef(-Infinity);
  const { ring, onFocus, onBlur } = useFocusRing();
  const { next } = progress;
  const wide = useWide();

  const release = (event: GestureResponderEvent) => {
    const x = placeOf(event);
    dragged.current = start.current !== null && x !== undefined && start.current - x > DRAG_BACK;
    start.current = null;
    if (dragged.current) onUndo();
  };
  const press = () => {
    const now = performance.now();
    const again = now - pressed.current < ONE_TAP_MS;
    if (!dragged.current && !again) onTick();
    if (!again) pressed.current = now;
    dragged.current = false;
  };

  return (
    <Pressable
      role="button"
      aria-label={doneWords(progress)}
      onLayout={onLayout}
      onPressIn={(event) => {
        start.current = placeOf(event) ?? null;
      }}
      onPressOut={release}
      onPress={press}
      onFocus={onFocus}
      onBlur={onBlur}
      style={
        {
          ...(beside ? { width: '42%' } : { height: wide ? '34%' : '42%', minHeight: 150 }),
          backgroundColor: colours.slab,
          alignItems: 'center',
          justifyContent: 'center',
          gap: 10,
          padding: 12,
          touchAction: 'pan-y',
          userSelect: 'none',
          outlineStyle: 'solid',
          outlineColor: colours.tape,
          outlineWidth: ring ? 5 : 0,
          outlineOffset: -5,
        } as unknown as ViewStyle
      }
    >
      {next?.row && next.ends ? (
        <RowsOfStitches stitches={next.ends} row={next.row} width={Math.min(box.width - 40, 520)} />
      ) : null}
      <Words tone="onSlab" style={{ fontFamily: FAMILY.heading, fontSize: 32, lineHeight: 40, textAlign: 'center' }}>
        {doneWords(progress)}
      </Words>
      <Words as="small" tone="onSlabFaint" style={{ textAlign: 'center' }}>
        Tap when done. Swipe left to undo.
      </Words>
    </Pressable>
  );
}

function doneWords({ next, state }: Progress): string {
  if (!next) return state.finished ? 'Back to the ledger' : 'Mark as finished';
  if (next.row) return `${courseWord(next)} ${next.row} done`;
  return next.kind === 'foundation' && next.makes?.kind === 'chain' ? 'Chain done' : 'Done';
}

const SHOWN_ROWS = 3;

/** The row to come in the colour of the tape, over the rows below it: as many marks as stitches. */
function RowsOfStitches({ stitches, row, width }: { stitches: number; row: number; width: number }) {
  const colours = useColours();
  if (width <= 0) return null;
  const pitch = Math.min(18, width / stitches);
  const tall = Math.max(5, pitch * 0.7);
  const below = Math.min(SHOWN_ROWS, row - 1);
  const line = (y: number) => {
    const half = pitch * 0.36;
    return Array.from({ length: stitches }, (_, index) => {
      const x = (index + 0.5) * pitch;
      return `M${(x - half).toFixed(1)} ${y}L${x.toFixed(1)} ${(y + tall * 0.55).toFixed(1)}L${(x + half).toFixed(1)} ${y}M${x.toFixed(1)} ${(y + tall * 0.55).toFixed(1)}V${(y + tall).toFixed(1)}`;
    }).join('');
  };
  const step = tall + 6;
  return (
    <Svg width={stitches * pitch} height={(below + 1) * step} aria-hidden>
      {Array.from({ length: below + 1 }, (_, index) => (
        <Path
          key={index}
          d={line(index * step + 2)}
          stroke={index === 0 ? colours.tape : colours.onSlabFaint}
          strokeWidth={Math.max(1, pitch * 0.16)}
          fill="none"
          strokeLinecap="round"
        />
      ))}
    </Svg>
  );
}
