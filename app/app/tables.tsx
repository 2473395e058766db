import { later } from '@/ui/layout/later';

export default later(() => import('@/screens/tables/Tables').then(({ Tables }) => Tables));
