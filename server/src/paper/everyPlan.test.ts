import fc from 'fast-check';
import { PlanProblem } from '@keep-snug/core';
import { anyFormed } from '../../../core/src/plan/fixtures/anyForm';
import { onPaper } from './onPaper';

const origin = 'http://localhost';

it('a plan that passes its form is printed, or refused with a remedy', async () => {
  let printed = 0;
  await fc.assert(
    fc.asyncProperty(
      anyFormed,
      fc.constantFrom('pattern' as const, 'outline' as const),
      fc.constantFrom('A4' as const, 'Letter' as const),
      async (plan, of, paper) => {
        try {
          const bytes = await onPaper({ plan, of, paper, origin });
          expect(Buffer.from(bytes.slice(0, 5)).toString('latin1')).toBe('%PDF-');
          printed += 1;
        } catch (error) {
          if (!(error instanceof PlanProblem)) throw error;
          for (const { message } of error.errors) expect(message).toMatch(/[.?]$/);
        }
      },
    ),
    { numRuns: 25 },
  );
  expect(printed).toBeGreaterThan(0);
});
