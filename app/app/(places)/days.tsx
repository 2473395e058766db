export { Days as default } from '@/days/Days';
