import { countingAids, MARK, planFollowed, plural, type Make } from '@keep-snug/core';
import { useMemo } from 'react';
import { View } from 'react-native';
import { useMakeEvents } from '@/data/events';
import type { Progress } from '@/reading/useProgress';
import { Words } from '@/ui/layout/Words';

/** What helps to count the row that is next: its colours, markers in a long one, dark yarn. */
export function CountingLines({ id, make, progress }: { id: string; make: Make; progress: Progress }) {
  const events = useMakeEvents(id);
  const { next, worked } = progress;
  const plan = useMemo(() => planFollowed(make.plan, events), [make.plan, events]);
  const row = next?.piece === worked.pieces[0]!.id ? next.row : null;
  const stitches = next?.ends ?? 0;
  const aids = useMemo(() => (row ? countingAids(plan, row, stitches) : null), [plan, row, stitches]);
  if (!aids || !next) return null;
  const { colours, markers, isDark } = aids;
  const lines = [
    colours.length > 0
      ? `In this ${next.kind}: ${colours.map((one) => `${one.name} ${one.stitches}`).join(', ')}.`
      : '',
    markers > 0 ? `Long to count: put a marker in every ${MARK.every}th stitch, ${plural(markers, 'marker')}.` : '',
    isDark ? 'Dark yarn: count aloud, and put a marker in the last stitch to find it by touch.' : '',
  ].filter(Boolean);
  return lines.length === 0 ? null : (
    <View>
      {lines.map((line) => (
        <Words key={line} as="small" tone="faint">
          {line}
        </Words>
      ))}
    </View>
  );
}
