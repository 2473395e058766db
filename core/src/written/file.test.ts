import fc from 'fast-check';
import { TERN_POINT } from '../demo';
import { reckon } from '../reckon/reckon';
import { PATTERN_FILES, patternFile, type PatternFile } from './file';
import { fileNameOf } from './fileName';
import { patternMarkdown } from './markdown';
import { writtenPattern } from './pattern';

const READS = { terms: 'US', units: 'mm', voice: 'full' } as const;
const PLANS = Object.values(TERN_POINT.plans).map((plan) => [plan.title, plan] as const);

describe('a file’s name', () => {
  it.each([
    ['Field phone pouch', 'field-phone-pouch.md'],
    ['Season’s end: gift pouch!', 'seasons-end-gift-pouch.md'],
    ['Étui à lunettes', 'etui-a-lunettes.md'],
    ['../../etc/passwd', 'etc-passwd.md'],
    ['¿?', 'pattern.md'],
  ])('of %s is %s', (title, name) => expect(fileNameOf(title, 'md')).toBe(name));

  it('holds nothing a file system refuses', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'binary', maxLength: 300 }), (title) => {
        const name = fileNameOf(title, 'txt');
        expect(name).toMatch(/^[\p{L}\p{N}-]+\.txt$/u);
        expect(name.length).toBeLessThanOrEqual(64);
      }),
    );
  });
});

describe.each(PLANS)('the file of %s', (_title, plan) => {
  const worked = reckon({ ...plan, schools: { ...plan.schools, terms: 'US', units: 'mm' } });

  it('holds the same pattern in every kind', () => {
    for (const as of Object.keys(PATTERN_FILES) as PatternFile[]) {
      const text = patternFile(as, plan, worked, READS);
      expect(text.endsWith('\n')).toBe(true);
      expect(text).toContain(as === 'json' ? `"title": "${plan.title}"` : plan.title);
      expect(text).not.toMatch(/undefined|NaN|\[object/);
    }
  });

  it('is whole as Markdown: every heading, row and check', () => {
    const pattern = writtenPattern(plan, worked, READS);
    const text = patternMarkdown(pattern).replace(/\\(.)/g, '$1');
    for (const { name, lines } of pattern.sections) {
      expect(text).toContain(`\n## ${name}\n`);
      for (const line of lines) expect(text).toContain(line.text);
      for (const { look } of lines.flatMap(({ before, after }) => [...before, ...after])) expect(text).toContain(look);
    }
    for (const safety of pattern.safety) expect(text).toContain(`- ${safety}`);
  });
});

it('what Markdown would read as its own signs is kept as it was written', () => {
  const plan = { ...PLANS[0]![1], title: 'A *bold* [plan] <b>_x_</b> #1 | `y`' };
  const pattern = writtenPattern(plan, reckon(plan), { ...READS, voice: 'short' });
  const text = patternMarkdown(pattern);
  expect(text.startsWith('# A \\*bold\\* \\[plan\\] \\<b\\>\\_x\\_\\</b\\> \\#1 \\| \\`y\\`\n')).toBe(true);
});
