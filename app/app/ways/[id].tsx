import { useLocalSearchParams } from 'expo-router';
import { OfPlan } from '@/parts/OfPlan';
import { WaysRoom } from '@/ways/WaysRoom';

export default function WaysRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <OfPlan id={id}>{(plan) => <WaysRoom id={id} plan={plan} />}</OfPlan>;
}
