import { later } from '@/parts/later';

export default later(() => import('@/tables/Tables').then(({ Tables }) => Tables));
