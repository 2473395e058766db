import { later } from '@/parts/later';

export default later(() => import('@/things/NewThing').then(({ NewThing }) => NewThing));
