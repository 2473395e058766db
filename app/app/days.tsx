import { later } from '@/ui/layout/later';

export default later(() => import('@/screens/days/Days').then(({ Days }) => Days));
