import { plural } from '@keep-snug/core';
import { HOURS_ID } from '@keep-snug/core/sittings';
import { Busy } from '@/ui/notices/Busy';
import { Clash } from '@/ui/notices/Clash';
import { EmptyPlace } from '@/ui/notices/EmptyPlace';
import { Page } from '@/ui/layout/Page';
import { Tape } from '@/ui/layout/Tape';
import { useBox } from '@/ui/layout/useBox';
import { Words } from '@/ui/layout/Words';
import { useLibrary } from '@/data/library';
import { useSittings } from '@/platform/useReckonWorker';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { CalendarPart } from './CalendarPart';
import { HoursPart } from './HoursPart';
import { JobCard } from '@/ui/when/JobCard';
import { jobsShown } from '@/reading/shown';
import { Strip } from './Strip';
import { useSittingsAsk } from '@/reading/useJobs';

/** The days ahead as a tape: what is worked when, whether it is done in time, and the hours there are. */
export function Days() {
  const { ask, hours, isEmpty } = useSittingsAsk();
  const { found, stale } = useSittings(ask);
  const batches = useLibrary((state) => state.shelves.batches);
  const held = useLibrary((state) => state.shelves.hours[HOURS_ID]);
  const jobs = found ? jobsShown(found.jobs, batches) : [];
  return (
    <Page title="Days" says="What you crochet on which day, and whether it is done in time.">
      {isEmpty ? <Nothing /> : null}
      {!isEmpty && !found ? <Busy /> : null}
      {found && found.sittings.length > 0 ? <Strip told={found} hours={hours} from={ask.from} shown={jobs} /> : null}
      {jobs.length > 0 ? (
        <View style={{ gap: 10 }}>
          <Words as="heading" level={2}>
            {plural(jobs.length, 'project')}
          </Words>
          {jobs.map((job) => (
            <JobCard key={job.id} job={job} ask={ask} />
          ))}
        </View>
      ) : null}
      {held ? <Clash kind="hours" id={HOURS_ID} held={held} /> : null}
      <HoursPart hours={hours} from={ask.from} />
      {/* what is about to change is not sent to a calendar */}
      <CalendarPart told={stale ? null : found} ask={ask} />
    </Page>
  );
}

function Nothing() {
  const router = useRouter();
  const { box, onLayout } = useBox();
  return (
    <EmptyPlace
      title="Nothing to plan yet"
      text="Start a project, or give a plan a day it is wanted, and your crochet days are planned here."
      action={{ name: 'Open the bench', do: () => router.navigate('/') }}
    >
      <View onLayout={onLayout}>
        <Tape lengthMm={200} px={box.width} outMm={4} />
      </View>
    </EmptyPlace>
  );
}
