import { BASES } from './base';
import { fixed, plainPattern } from './plain';

export const halfDouble = fixed(
  plainPattern({
    id: 'half-double',
    name: BASES['half-double'].name,
    summary: 'Quicker than {single}, soft, thick.',
    base: 'half-double',
  }),
);
