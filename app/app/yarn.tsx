import { later } from '@/parts/later';

export default later(() => import('@/yarn/YarnBox').then(({ YarnBox }) => YarnBox));
