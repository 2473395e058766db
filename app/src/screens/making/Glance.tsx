import { capital, sectionWord, type Plan, type Step } from '@keep-snug/core';
import { toldStep } from '@keep-snug/core/written';
import { useId } from 'react';
import { View } from 'react-native';
import { useSettings } from '@/data/settings';
import { Portrait } from '@/drawing/portrait/Portrait';
import { courseWord, type Progress } from '@/reading/useProgress';
import { useReader } from '@/reading/useWorked';
import { FAMILY } from '@/theme/type';
import { useWide } from '@/theme/useWide';
import { LinkedWords } from '@/ui/layout/LinkedWords';
import { useFocusOnArrival } from '@/ui/layout/Title';
import { Words } from '@/ui/layout/Words';
import { Check, isByHand } from './Checks';

/** A count is read from across the room; one in words takes a line or two. */
const NUMBER = { wide: { fontSize: 128, lineHeight: 132 }, narrow: { fontSize: 104, lineHeight: 108 } };
const COUNTED = { wide: { fontSize: 64, lineHeight: 70 }, narrow: { fontSize: 40, lineHeight: 46 } };

/** What half a second's look must tell: which row, how many, what to do. */
export function Glance({ plan, progress, title }: { plan: Plan; progress: Progress; title: string }) {
  const { next } = progress;
  const wide = useWide();
  const { terms, habits } = useReader();
  const voice = useSettings((state) => state.voice);
  const told = next ? toldStep(next, voice, { terms, ring: habits.ring }) : undefined;
  const heading = useId();
  useFocusOnArrival(heading);
  return (
    <>
      <View style={{ flexDirection: 'row', justifyContent: 'space-between', alignItems: 'flex-start', gap: 12 }}>
        <View style={{ flexShrink: 1 }}>
          <Words id={heading} as="title" level={1} live>
            {next ? where(next) : 'All done'}
          </Words>
          <Words tone="faint">{next ? `${title}: ${around(next)}` : title}</Words>
        </View>
        {wide ? null : (
          <View style={{ flexShrink: 0 }}>
            <Portrait plan={plan} worked={progress.worked} made={progress.rowsMade} width={56} height={56} />
          </View>
        )}
      </View>
      {next?.ends ? (
        <Words style={{ fontFamily: FAMILY.heading, ...(next.counted ? COUNTED : NUMBER)[wide ? 'wide' : 'narrow'] }}>
          {next.counted ?? next.ends}
        </Words>
      ) : null}
      <LinkedWords
        as="heading"
        style={{ fontSize: wide ? 30 : 22, lineHeight: wide ? 38 : 29, maxWidth: 900 }}
        text={told ? told.text : 'All done. Every row, seam and end is finished.'}
      />
      {told?.note ? <LinkedWords as="strong" tone="thread" text={told.note} /> : null}
      {next?.check && isByHand(next) ? (
        <Check word={next.check.before ? 'Before you do' : 'When it is done'} check={next.check} />
      ) : null}
    </>
  );
}

/** Where a step stands, in the words of the craft. */
export function where(step: Step): string {
  if (step.row) return `${courseWord(step)} ${step.row} of ${step.of}`;
  if (step.kind === 'foundation') return beginningOf(step);
  return capital(sectionWord(step.section));
}

/** How a piece begins, in the words of the craft. */
function beginningOf({ makes }: Step): string {
  if (makes?.kind === 'chain') return 'Foundation chain';
  return makes?.count === 0 ? 'Ring' : 'Joining the yarn';
}

function around({ row, section, side, kind, pieceName }: Step): string {
  const piece = pieceName ? `${pieceName}: ` : '';
  if (row) return `${piece}${sectionWord(section)}, ${side} side facing`;
  return kind === 'foundation' ? `${piece}to start with` : `${piece}finishing`;
}
