import { useLocalSearchParams } from 'expo-router';
import { BatchRoom } from '@/batches/BatchRoom';
import { Missing } from '@/parts/Missing';
import { Places } from '@/parts/Places';
import { useLibrary } from '@/state/library';

export default function BatchRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const isHere = useLibrary((state) => state.shelves.batches[id] !== undefined);
  return <Places>{isHere ? <BatchRoom key={id} id={id} /> : <Missing what="batch" />}</Places>;
}
