import { useLocalSearchParams } from 'expo-router';
import { Missing } from '@/ui/notices/Missing';
import { useLibrary } from '@/data/library';
import { later } from '@/ui/layout/later';

const BatchRoom = later(() => import('@/screens/batches/BatchRoom').then((room) => room.BatchRoom));

export default function BatchRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const isHere = useLibrary((state) => state.shelves.batches[id] !== undefined);
  return isHere ? <BatchRoom key={id} id={id} /> : <Missing what="batch" />;
}
