import { useLocalSearchParams } from 'expo-router';
import { Missing } from '@/parts/Missing';
import { useLibrary } from '@/state/library';
import { later } from '@/parts/later';

const BatchRoom = later(() => import('@/batches/BatchRoom').then((room) => room.BatchRoom));

export default function BatchRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const isHere = useLibrary((state) => state.shelves.batches[id] !== undefined);
  return isHere ? <BatchRoom key={id} id={id} /> : <Missing what="batch" />;
}
