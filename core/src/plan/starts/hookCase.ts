import type { StartDefinition } from './definition';

export const hookCase: StartDefinition = {
  id: 'hook-case',
  name: 'Hook case',
  says: 'a channel for each hook, rolled up and tied',
  asks: [
    {
      kind: 'sizes',
      at: 'thing.tools',
      label: 'Sizes of the hooks',
      help: 'In mm, one after the other: 2 2.5 3 3.5 4.',
      one: 'hook',
      usual: '2 2.5 3 3.5 4 5 6',
    },
    { kind: 'length', at: 'thing.tools[*].length', label: 'Their length', help: 'The longest of them.', usualMm: 150 },
    {
      kind: 'length',
      at: 'thing.tools[*].grip',
      label: 'Grip, at its thickest',
      help: 'Of the thickest of them.',
      usualMm: 9,
    },
  ],
  plan: {
    thing: { kind: 'tools', name: 'hooks' },
    shape: { kind: 'two-panels', edging: 1 },
    fit: { name: 'slides' },
    fittings: [{ kind: 'dividers' }, { kind: 'ties' }],
  },
};
