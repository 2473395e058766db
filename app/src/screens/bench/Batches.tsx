import { isFinished, plural } from '@keep-snug/core';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { CardBox } from '@/ui/layout/CardBox';
import { Clash } from '@/ui/notices/Clash';
import { MoreMenu } from '@/ui/actions/MoreMenu';
import { Press } from '@/ui/actions/Press';
import { Words } from '@/ui/layout/Words';
import { useDeleting } from '@/data/deleting';
import { useEvents } from '@/data/events';
import { useShelf } from '@/data/library';

/** Batches: how many of their pieces are done. */
export function Batches() {
  const router = useRouter();
  const batches = useShelf('batches');
  const makes = useShelf('makes');
  const byMake = useEvents((state) => state.byMake);
  const remove = useDeleting((state) => state.remove);
  if (batches.length === 0) return null;
  return (
    <View style={{ gap: 10 }}>
      <Words as="heading" level={2}>
        Batches
      </Words>
      {batches.map(([id, held]) => {
        const { name, variants } = held.body;
        const pieces = variants.reduce((sum, { count }) => sum + count, 0);
        const done = makes.filter(([make, { body }]) => body.batch?.batch === id && isFinished(byMake[make] ?? []));
        return (
          <CardBox key={id} padding={0}>
            <View style={{ flexDirection: 'row', alignItems: 'center', columnGap: 8 }}>
              <Press
                label={`Open the batch: ${name}`}
                onPress={() => router.push(`/batch/${id}`)}
                style={{ flex: 1, padding: 14 }}
              >
                <Words as="strong">{name}</Words>
                <Words as="small" tone="faint">{`${plural(pieces, 'piece')}, ${done.length} done`}</Words>
              </Press>
              <MoreMenu of={name} entries={[{ name: 'Delete', do: () => remove('batches', id, name) }]} />
            </View>
            <Clash kind="batches" id={id} held={held} />
          </CardBox>
        );
      })}
    </View>
  );
}
