import { NotFound } from '@/shell/NotFound';

export default NotFound;
