export { YarnBox as default } from '@/yarn/YarnBox';
