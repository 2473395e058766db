import { later } from '@/ui/layout/later';

export default later(() => import('@/screens/open/OpenPlan').then(({ OpenPlan }) => OpenPlan));
