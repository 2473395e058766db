import { later } from '@/parts/later';

export default later(() => import('@/things/Things').then(({ Things }) => Things));
