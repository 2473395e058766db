import type { TailsDefinition } from './definition';

export const knot: TailsDefinition = {
  id: 'knot',
  name: 'knot them',
  summary: 'Quick and firm; the knot is felt.',
  atChange: 'Knot both tails close to the fabric, on the wrong side, and trim them to 1 cm.',
  minutes: 0.75,
};
