export { Things as default } from '@/things/Things';
