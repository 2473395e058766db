import { useLocalSearchParams } from 'expo-router';
import { PlanBoard } from '@/board/PlanBoard';
import { Missing } from '@/parts/Missing';
import { Places } from '@/parts/Places';
import { useLibrary } from '@/state/library';

export default function PlanRoute() {
  const { id, stage } = useLocalSearchParams<{ id: string; stage?: string }>();
  const isHere = useLibrary((state) => state.shelves.plans[id] !== undefined);
  return (
    <Places>{isHere ? <PlanBoard key={id} id={id} {...(stage ? { stage } : {})} /> : <Missing what="plan" />}</Places>
  );
}
