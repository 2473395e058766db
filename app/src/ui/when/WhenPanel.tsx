import { withWanted } from '@keep-snug/core/sittings';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { Action } from '@/ui/actions/Action';
import { Busy } from '@/ui/notices/Busy';
import { DayField } from '@/ui/fields/DayField';
import { Panel } from '@/ui/layout/Panel';
import { Words } from '@/ui/layout/Words';
import { changeHours } from '@/data/hours';
import { useLibrary } from '@/data/library';
import { useSittings } from '@/platform/useReckonWorker';
import { JobCard } from './JobCard';
import { jobsShown } from '@/reading/shown';
import { useSittingsAsk } from '@/reading/useJobs';

interface Props {
  /** Of the make, or of the plan before it is begun. */
  id: string;
  title: string;
  onClose: () => void;
}

/** Whether it is done by the day it is wanted, and what would help. */
export function WhenPanel({ id, title, onClose }: Props) {
  const router = useRouter();
  const { ask } = useSittingsAsk();
  const { found } = useSittings(ask);
  const batches = useLibrary((state) => state.shelves.batches);
  const job = found && jobsShown(found.jobs, batches).find(({ jobs }) => jobs.includes(id));
  const waits = ask.jobs.some((one) => one.id === id);
  return (
    <Panel title="When" onClose={onClose}>
      {waits ? null : (
        <>
          <Words>Say the day it is wanted, and your crochet days are planned towards it.</Words>
          <DayField
            label={`Day ${title} is wanted`}
            value={undefined}
            onChange={(day) => changeHours((hours) => withWanted(hours, id, day))}
          />
        </>
      )}
      {waits && !job ? <Busy /> : null}
      {job ? <JobCard job={job} ask={ask} /> : null}
      <View style={{ flexDirection: 'row' }}>
        <Action onPress={() => router.push('/days')}>See all days</Action>
      </View>
    </Panel>
  );
}
