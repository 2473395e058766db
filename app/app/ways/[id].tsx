import { useLocalSearchParams } from 'expo-router';
import { OfPlan } from '@/ui/notices/OfPlan';
import { later } from '@/ui/layout/later';

const WaysRoom = later(() => import('@/screens/ways/WaysRoom').then((room) => room.WaysRoom));

export default function WaysRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <OfPlan id={id}>{(plan) => <WaysRoom id={id} plan={plan} />}</OfPlan>;
}
