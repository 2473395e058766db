import { later } from '@/parts/later';

export default later(() => import('@/days/Days').then(({ Days }) => Days));
