export { OpenPlan as default } from '@/open/OpenPlan';
