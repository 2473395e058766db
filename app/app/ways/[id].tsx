import { useLocalSearchParams } from 'expo-router';
import { OfPlan } from '@/parts/OfPlan';
import { later } from '@/parts/later';

const WaysRoom = later(() => import('@/ways/WaysRoom').then((room) => room.WaysRoom));

export default function WaysRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <OfPlan id={id}>{(plan) => <WaysRoom id={id} plan={plan} />}</OfPlan>;
}
