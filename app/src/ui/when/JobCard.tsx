import { duration, plural, timesInHundred } from '@keep-snug/core';
import { dayText, daysBetween, withWanted, type SittingsAsk } from '@keep-snug/core/sittings';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { Action } from '@/ui/actions/Action';
import { CardBox } from '@/ui/layout/CardBox';
import { DayField } from '@/ui/fields/DayField';
import { ShareBar } from '@/ui/lists/ShareBar';
import { Words } from '@/ui/layout/Words';
import { changeHours } from '@/data/hours';
import { HelpLine } from './HelpLine';
import type { ShownJob } from '@/reading/shown';

/** A project: what is left of it, the day it is wanted, how sure that is, and what would help. */
export function JobCard({ job, ask }: { job: ShownJob; ask: SittingsAsk }) {
  const { id, title, kind, minutes, sittings, done, wanted, chance, helps } = job;
  const router = useRouter();
  const isMake = kind === 'job' && ask.jobs.some((one) => one.id === id && one.events);
  const open = () => router.push(kind === 'batch' ? `/batch/${id}` : isMake ? `/make/${id}` : `/plan/${id}`);
  return (
    <CardBox label={title}>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: 16, rowGap: 4, alignItems: 'center' }}>
        <View style={{ flexGrow: 1, flexShrink: 1, flexBasis: 220 }}>
          <Words as="strong" level={3}>
            {title}
          </Words>
          <Words as="small" tone="faint">
            {leftText(minutes, sittings, kind === 'batch' ? job.jobs.length : 0)}
          </Words>
          <Words as="small">
            {done ? `Done on ${dayText(done)}, at this pace.` : 'Not done within a year at these hours.'}
          </Words>
        </View>
        <View style={{ flexGrow: 1, flexBasis: 180, maxWidth: 260, flexDirection: 'row' }}>
          <DayField
            label={`Day ${title} is wanted`}
            value={wanted ?? undefined}
            onChange={(day) => changeHours((hours) => withWanted(hours, id, day))}
            onClear={() => changeHours((hours) => withWanted(hours, id, undefined))}
          />
        </View>
        <Action label={`Open ${title}`} onPress={open}>
          Open
        </Action>
      </View>
      {chance === null || wanted === null ? null : <Likely chance={chance} wanted={wanted} from={ask.from} />}
      {helps.map((help) => (
        <HelpLine key={help.id} help={help} job={job} ask={ask} />
      ))}
    </CardBox>
  );
}

function leftText(minutes: number, sittings: number, pieces: number): string {
  const of = pieces > 0 ? `${plural(pieces, 'piece')}, ` : '';
  return `${of}about ${duration(minutes)} left, in ${plural(sittings, 'sitting')}.`;
}

/** Under so much it is not to be relied on, and over so much it is. */
const UNLIKELY = 0.5;
const LIKELY = 0.8;

/** How sure it is, in words and as a bar. */
function Likely({ chance, wanted, from }: { chance: number; wanted: string; from: string }) {
  const share = timesInHundred(chance);
  const tone = chance >= LIKELY ? 'lichen' : chance < UNLIKELY ? 'rowan' : 'thread';
  const late = daysBetween(from, wanted) < 0;
  const says = late
    ? `It was wanted on ${dayText(wanted)}.`
    : chance >= LIKELY
      ? `Done by ${dayText(wanted)}: ${share}.`
      : chance < UNLIKELY
        ? `Not by ${dayText(wanted)}: only ${share}.`
        : `It may be done by ${dayText(wanted)}: ${share}.`;
  return (
    <View style={{ gap: 4 }}>
      <Words as="smallStrong" tone={tone} live>
        {says}
      </Words>
      {late ? null : <ShareBar share={chance} />}
    </View>
  );
}
