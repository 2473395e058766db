import { useLocalSearchParams } from 'expo-router';
import { Missing } from '@/parts/Missing';
import { useLibrary } from '@/state/library';
import { later } from '@/parts/later';

const PlanBoard = later(() => import('@/board/PlanBoard').then((room) => room.PlanBoard));

export default function PlanRoute() {
  const { id, stage } = useLocalSearchParams<{ id: string; stage?: string }>();
  const isHere = useLibrary((state) => state.shelves.plans[id] !== undefined);
  return isHere ? <PlanBoard key={id} id={id} {...(stage ? { stage } : {})} /> : <Missing what="plan" />;
}
