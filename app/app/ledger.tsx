import { later } from '@/ui/layout/later';

export default later(() => import('@/screens/ledger/Ledger').then(({ Ledger }) => Ledger));
