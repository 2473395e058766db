import { writeFileSync } from 'node:fs';
import { reckon } from './reckon';
import { TERN_POINT } from './demo';
import { writtenPattern, patternText } from './written';
it('x', () => {
  for (const voice of ['full', 'short'] as const)
    for (const terms of ['US', 'UK'] as const)
      writeFileSync(
        `/tmp/w-${voice}-${terms}.txt`,
        Object.values(TERN_POINT.plans)
          .map((p) => {
            const plan = { ...p, schools: { ...p.schools, terms } };
            return patternText(writtenPattern(plan, reckon(plan), { terms, units: 'mm', voice }));
          })
          .join('\n\n=========\n\n'),
      );
});
