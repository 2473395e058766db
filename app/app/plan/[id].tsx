import { useLocalSearchParams } from 'expo-router';
import { Missing } from '@/ui/notices/Missing';
import { useLibrary } from '@/data/library';
import { later } from '@/ui/layout/later';

const PlanBoard = later(() => import('@/screens/board/PlanBoard').then((room) => room.PlanBoard));

export default function PlanRoute() {
  const { id, stage } = useLocalSearchParams<{ id: string; stage?: string }>();
  const isHere = useLibrary((state) => state.shelves.plans[id] !== undefined);
  return isHere ? <PlanBoard key={id} id={id} {...(stage ? { stage } : {})} /> : <Missing what="plan" />;
}
