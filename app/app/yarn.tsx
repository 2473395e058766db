import { later } from '@/ui/layout/later';

export default later(() => import('@/screens/yarn/YarnBox').then(({ YarnBox }) => YarnBox));
