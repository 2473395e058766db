import { useLocalSearchParams } from 'expo-router';
import { Missing } from '@/parts/Missing';
import { useLibrary } from '@/state/library';
import { later } from '@/parts/later';

const MakeRoom = later(() => import('@/making/MakeRoom').then((room) => room.MakeRoom));

export default function MakeRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const held = useLibrary((state) => state.shelves.makes[id]);
  return held ? <MakeRoom key={id} id={id} held={held} /> : <Missing what="make" />;
}
