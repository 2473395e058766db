import type { TailsDefinition } from './definition';

export const inside: TailsDefinition = {
  id: 'inside',
  name: 'leave them inside',
  summary: 'For what is lined, or closed for good: nothing holds them but friction.',
  atChange: 'Leave both tails on the inside, 10 cm long: they are not woven in.',
  minutes: 0,
};
