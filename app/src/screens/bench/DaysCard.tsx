import { dayText, HOURS_ID, sittingText } from '@keep-snug/core/sittings';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { minutesText } from '@/reading/minutesText';
import { useSittingsAsk } from '@/reading/useJobs';
import { Action } from '@/ui/actions/Action';
import { CardBox } from '@/ui/layout/CardBox';
import { Words } from '@/ui/layout/Words';
import { useLibrary } from '@/data/library';
import { useIdle } from '@/platform/useIdle';
import { useSittings } from '@/platform/useReckonWorker';

/** The next sitting, and the way to all of them; once hours were said, or something is on the hook. */
export function DaysCard() {
  const router = useRouter();
  const said = useLibrary((state) => state.shelves.hours[HOURS_ID] !== undefined);
  const { ask, isEmpty } = useSittingsAsk();
  const isIdle = useIdle();
  const { found } = useSittings(said && isIdle && !isEmpty ? ask : null);
  if (isEmpty) return null;
  const next = found?.sittings[0];
  const title = found?.jobs.find(({ id }) => id === next?.job)?.title;
  return (
    <CardBox label="Days" padding={12}>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', columnGap: 12 }}>
        <View style={{ flexGrow: 1, flexShrink: 1, flexBasis: 220 }}>
          {next && title ? (
            <>
              <Words as="smallStrong">{`${next.day === ask.from ? 'Today' : dayText(next.day)}, ${minutesText(next.minutes)}: ${title}`}</Words>
              <Words as="small" tone="faint">
                {sittingText(next)}
              </Words>
            </>
          ) : (
            <Words as="small" tone="faint">
              Plan what you crochet on which day, and whether it is done in time.
            </Words>
          )}
        </View>
        <Action onPress={() => router.navigate('/days')}>{said ? 'See your days' : 'Plan your days'}</Action>
      </View>
    </CardBox>
  );
}
