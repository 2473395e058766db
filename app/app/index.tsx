export { Bench as default } from '@/bench/Bench';
