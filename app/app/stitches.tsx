import { later } from '@/parts/later';

export default later(() => import('@/stitches/Stitches').then(({ Stitches }) => Stitches));
