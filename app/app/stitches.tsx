import { later } from '@/ui/layout/later';

export default later(() => import('@/screens/stitches/Stitches').then(({ Stitches }) => Stitches));
