import type { StartAsk, StartDefinition } from './definition';

/** The asks of what is round and stands. */
export const roundAsks = (heightMm: number, girthMm: number): StartAsk[] => [
  { kind: 'length', at: 'thing.height', usualMm: heightMm },
  { kind: 'length', at: 'thing.girth', usualMm: girthMm },
];

export const bottleSling: StartDefinition = {
  id: 'bottle-sling',
  name: 'Bottle sling',
  says: 'carried over the shoulder by a strap',
  asks: [
    ...roundAsks(240, 230),
    {
      kind: 'length',
      at: 'carrier.loop',
      label: 'Strap',
      help: 'Where it runs over the shoulder, from one edge of the sling to the other.',
      usualMm: 1100,
      stands: true,
    },
  ],
  plan: {
    thing: { kind: 'cylinder', name: 'bottle' },
    carrier: { kind: 'body', loopIs: 'edge-to-edge' },
    shape: { kind: 'disc-wall' },
    fit: { name: 'snug' },
    fittings: [{ kind: 'strap', strap: 'rows' }],
  },
};
