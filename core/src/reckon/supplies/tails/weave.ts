import type { TailsDefinition } from './definition';

export const weave: TailsDefinition = {
  id: 'weave',
  name: 'weave them in later',
  summary: 'Neat on both sides, and it lasts.',
  minutes: 2,
};
