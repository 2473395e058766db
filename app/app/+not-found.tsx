import { NotFound } from '@/parts/NotFound';

export default NotFound;
