import { useLocalSearchParams } from 'expo-router';
import { OfPlan } from '@/parts/OfPlan';
import { Sheet } from '@/sheet/Sheet';

export default function SheetRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <OfPlan id={id}>{(plan) => <Sheet id={id} plan={plan} />}</OfPlan>;
}
