import { later } from '@/parts/later';

export default later(() => import('@/ledger/Ledger').then(({ Ledger }) => Ledger));
