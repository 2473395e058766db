import { later } from '@/parts/later';

export default later(() => import('@/open/OpenPlan').then(({ OpenPlan }) => OpenPlan));
