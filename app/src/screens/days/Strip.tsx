import {
  dayAfter,
  dayText,
  daysBetween,
  minutesOn,
  sittingText,
  slid,
  type HoursSpec,
  type Sitting,
  type SittingsTold,
} from '@keep-snug/core/sittings';
import { useState } from 'react';
import { ScrollView, StyleSheet, View, type ViewStyle } from 'react-native';
import { Block } from '@/ui/layout/ink';
import { Words } from '@/ui/layout/Words';
import { useBox } from '@/ui/layout/useBox';
import { useFocusRing } from '@/ui/actions/useFocusRing';
import { changeHours } from '@/data/hours';
import { useColours } from '@/theme/useTheme';
import { minutesText } from '@/reading/minutesText';
import type { ShownJob } from '@/reading/shown';

/** How wide a day is drawn, px, and how high a sitting. */
const DAY = 132;
const SITTING = 88;
const PIN = 36;

interface Props {
  told: SittingsTold;
  hours: HoursSpec;
  from: string;
  shown: readonly ShownJob[];
}

/** The days as a tape; a sitting is a piece of it that can be slid, the day something is wanted a pin. */
export function Strip({ told, hours, from, shown }: Props) {
  const { sittings } = told;
  const colours = useColours();
  const last = [...sittings.map(({ day }) => day), ...shown.flatMap(({ wanted }) => wanted ?? [])].sort().at(-1)!;
  const count = Math.min(MOST_DAYS, Math.max(7, daysBetween(from, last) + 2));
  const days = Array.from({ length: count }, (_, index) => dayAfter(from, index));
  const { box, onLayout } = useBox();
  const [scrolled, setScrolled] = useState(0);
  // as high as what is looked at: a full day weeks away leaves no gap below this one
  const first = Math.floor(scrolled / DAY);
  const inSight = box.width > 0 ? days.slice(first, first + Math.ceil(box.width / DAY) + 1) : days;
  const most = Math.max(1, ...inSight.map((day) => sittings.filter((one) => one.day === day).length));
  const pins = shown.some(({ wanted }) => wanted && inSight.includes(wanted)) ? PIN : 0;
  return (
    <View role="group" aria-label="The days ahead" style={{ gap: 6 }}>
      <ScrollView
        horizontal
        onLayout={onLayout}
        onScroll={({ nativeEvent }) => setScrolled(DAY * Math.floor(nativeEvent.contentOffset.x / DAY))}
        scrollEventThrottle={60}
        style={{ backgroundColor: colours.surface }}
        contentContainerStyle={{ width: count * DAY }}
      >
        <View style={{ width: count * DAY }}>
          <View style={[STYLES.tape, { backgroundColor: colours.tape }]}>
            {days.map((day) => (
              <View key={day} style={[STYLES.day, { borderColor: colours.tapeInk }]}>
                <Words as="smallStrong" style={{ color: colours.tapeInk }}>
                  {dayText(day)}
                </Words>
                <Words as="small" style={{ color: colours.tapeInk }}>
                  {minutesOn(hours, day) === 0 ? 'off' : minutesText(minutesOn(hours, day))}
                </Words>
              </View>
            ))}
          </View>
          <View style={[STYLES.grows, { height: pins }]}>
            {shown.map(({ id, title, wanted }) =>
              wanted && wanted >= from && daysBetween(from, wanted) < count ? (
                <View
                  key={id}
                  style={[STYLES.pin, { left: daysBetween(from, wanted) * DAY, borderColor: colours.rowan }]}
                >
                  <Words as="smallStrong" tone="rowan" style={{ flexShrink: 1, lineHeight: 16 }} lines={2}>
                    {title}
                  </Words>
                </View>
              ) : null,
            )}
          </View>
          <View style={[STYLES.grows, { height: most * (SITTING + 4) + 4 }]}>
            {sittings
              .filter(({ day }) => daysBetween(from, day) < count)
              .map((sitting) => {
                const sameDay = sittings.filter(({ day }) => day === sitting.day);
                const owner = shown.findIndex(({ jobs }) => jobs.includes(sitting.job));
                return (
                  <Piece
                    key={`${sitting.job} ${sitting.number}`}
                    sitting={sitting}
                    from={from}
                    row={sameDay.indexOf(sitting)}
                    title={titleOf(told, sitting, shown[owner])}
                    tint={colours.yarns[owner % colours.yarns.length]!}
                    days={count}
                  />
                );
              })}
          </View>
        </View>
      </ScrollView>
      <Words as="small" tone="faint">
        Slide a sitting to another day, or move it with the arrow keys. A pin is the day something is wanted.
      </Words>
    </View>
  );
}

/** A piece of a batch without the batch’s name before it: that is the same for all. */
function titleOf({ jobs }: SittingsTold, { job }: Sitting, owner: ShownJob | undefined): string {
  const title = jobs.find(({ id }) => id === job)?.title ?? '';
  return owner?.kind === 'batch' ? title.replace(`${owner.title}: `, '') : title;
}

/** More days would be more than anybody looks along. */
const MOST_DAYS = 120;

interface PieceProps {
  sitting: Sitting;
  from: string;
  row: number;
  title: string;
  tint: string;
  days: number;
}

/** One sitting: slid by hand or by the arrow keys, day by day. */
function Piece({ sitting, from, row, title, tint, days }: PieceProps) {
  const colours = useColours();
  const { ring, onFocus, onBlur } = useFocusRing();
  const [drag, setDrag] = useState<{ at: number; by: number } | null>(null);
  const place = daysBetween(from, sitting.day);
  const to = (by: number) => Math.min(days - 1, Math.max(0, place + Math.round(by / DAY)));
  const move = (index: number) => {
    if (index === place) return;
    changeHours((hours) => slid(hours, sitting.day, dayAfter(from, index), sitting.minutes));
  };
  const events = {
    onPointerDown: (event: PointerEvent) => {
      event.preventDefault();
      (event.currentTarget as HTMLElement).setPointerCapture(event.pointerId);
      (event.currentTarget as HTMLElement).focus();
      setDrag({ at: event.clientX, by: 0 });
    },
    onPointerMove: (event: PointerEvent) => setDrag((was) => was && { ...was, by: event.clientX - was.at }),
    onPointerUp: () => {
      if (drag) move(to(drag.by));
      setDrag(null);
    },
    onPointerCancel: () => setDrag(null),
    onKeyDown: (event: KeyboardEvent) => {
      const by = { ArrowRight: 1, ArrowLeft: -1 }[event.key];
      if (by === undefined) return;
      event.preventDefault();
      move(Math.min(days - 1, Math.max(0, place + by)));
    },
  };
  return (
    <Block
      {...(events as object)}
      role="slider"
      tabIndex={0}
      aria-label={`${title}, sitting ${sitting.number}`}
      aria-valuemin={0}
      aria-valuemax={days - 1}
      aria-valuenow={place}
      aria-valuetext={`${dayText(sitting.day)}, ${minutesText(sitting.minutes)}: ${sittingText(sitting)}`}
      onFocus={onFocus}
      onBlur={onBlur}
      style={
        {
          ...PIECE,
          left: place * DAY + 3 + (drag ? drag.by : 0),
          top: 4 + row * (SITTING + 4),
          zIndex: drag ? 2 : 1,
          backgroundColor: tint,
          border: `${ring ? 3 : 1}px solid ${ring ? colours.sea : colours.faint}`,
        } as unknown as ViewStyle
      }
    >
      <Words as="smallStrong" lines={2} style={{ lineHeight: 17 }}>
        {title}
      </Words>
      <Words as="small" lines={3} style={{ lineHeight: 15, fontSize: 13 }}>
        {`${minutesText(sitting.minutes)}: ${sittingText(sitting)}`}
      </Words>
    </Block>
  );
}

const PIECE = {
  position: 'absolute',
  boxSizing: 'border-box',
  width: DAY - 6,
  height: SITTING,
  padding: 5,
  overflow: 'hidden',
  borderRadius: 2,
  cursor: 'grab',
  touchAction: 'pan-y',
  outlineWidth: 0,
} as const;

const STYLES = StyleSheet.create({
  grows: { overflow: 'hidden', transitionProperty: 'height', transitionDuration: '160ms' } as ViewStyle,
  tape: { flexDirection: 'row', height: 44 },
  day: { width: DAY, borderLeftWidth: 2, paddingLeft: 6, paddingTop: 2 },
  pin: { position: 'absolute', width: DAY, height: PIN, borderLeftWidth: 4, paddingLeft: 4, justifyContent: 'center' },
});
