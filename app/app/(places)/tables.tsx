export { Tables as default } from '@/tables/Tables';
