import { later } from '@/ui/layout/later';

export default later(() => import('@/screens/guide/Guide').then(({ Guide }) => Guide));
