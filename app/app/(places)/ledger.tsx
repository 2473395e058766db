export { Ledger as default } from '@/ledger/Ledger';
