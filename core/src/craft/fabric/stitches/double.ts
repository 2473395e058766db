import { BASES } from './base';
import { fixed, plainPattern } from './plain';

export const double = fixed(
  plainPattern({
    id: 'double',
    name: BASES.double.name,
    summary: 'Tall and quick; slim things poke through.',
    base: 'double',
  }),
);
