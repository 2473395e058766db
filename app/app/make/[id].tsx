import { useLocalSearchParams } from 'expo-router';
import { Missing } from '@/ui/notices/Missing';
import { useLibrary } from '@/data/library';
import { later } from '@/ui/layout/later';

const MakeRoom = later(() => import('@/screens/making/MakeRoom').then((room) => room.MakeRoom));

export default function MakeRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const held = useLibrary((state) => state.shelves.makes[id]);
  return held ? <MakeRoom key={id} id={id} held={held} /> : <Missing what="make" />;
}
