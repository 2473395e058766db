import { useLocalSearchParams } from 'expo-router';
import { MakeRoom } from '@/making/MakeRoom';
import { Missing } from '@/parts/Missing';
import { useLibrary } from '@/state/library';

export default function MakeRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const held = useLibrary((state) => state.shelves.makes[id]);
  return held ? <MakeRoom key={id} id={id} held={held} /> : <Missing what="make" />;
}
