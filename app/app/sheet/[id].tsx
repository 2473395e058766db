import { useLocalSearchParams } from 'expo-router';
import { Missing } from '@/ui/notices/Missing';
import { OfPlan } from '@/ui/notices/OfPlan';
import { useLibrary } from '@/data/library';
import { later } from '@/ui/layout/later';

const Sheet = later(() => import('@/screens/sheet/Sheet').then((room) => room.Sheet));
const MadeSheet = later(() => import('@/screens/sheet/MadeSheet').then((room) => room.MadeSheet));

/** The pattern of a plan, or, `?of=make`, of what was made: the plan as it was followed. */
export default function SheetRoute() {
  const { id, of } = useLocalSearchParams<{ id: string; of?: string }>();
  const make = useLibrary((state) => (of === 'make' ? state.shelves.makes[id]?.body : undefined));
  if (of === 'make') return make ? <MadeSheet id={id} make={make} /> : <Missing what="make" />;
  return <OfPlan id={id}>{(plan) => <Sheet plan={plan} back={{ to: `/plan/${id}`, name: 'the plan' }} />}</OfPlan>;
}
