import { later } from '@/ui/layout/later';

export default later(() => import('@/screens/things/Things').then(({ Things }) => Things));
