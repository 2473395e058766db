import { later } from '@/ui/layout/later';

export default later(() => import('@/screens/things/NewThing').then(({ NewThing }) => NewThing));
