import { later } from '@/ui/layout/later';

export default later(() => import('@/screens/starts/Starts').then(({ Starts }) => Starts));
