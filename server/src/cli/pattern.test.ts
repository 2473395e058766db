import { TERN_POINT } from '@keep-snug/core/demo';
import { fileURLToPath } from 'node:url';
import { asItStands, bundled } from '../fixtures/bundled';

const script = fileURLToPath(new URL('./pattern.ts', import.meta.url));
const plan = Object.values(TERN_POINT.plans)[0]!;

let built: Awaited<ReturnType<typeof bundled>>;
beforeAll(async () => {
  built = await bundled(script);
});
afterAll(() => built.done());

const patternText = (options: string[], input = JSON.stringify(plan)) => built.run(options, input);

it('prints the pattern in full, or short in the terms asked for', () => {
  const full = asItStands(script, ['-'], JSON.stringify(plan));
  expect(full.status).toBe(0);
  expect(full.stdout).toMatch(/^Field phone pouch\nWritten in US crochet terms/);
  expect(full.stdout).toContain('Chain 1, single crochet in each of the next 16 stitches. Turn. (16 stitches)');
  const short = patternText(['-', '--style', 'short', '--terms', 'UK', '--units', 'in']);
  expect(short.stdout).toContain('Ch 1, dc in each st across, turn. (16 sts)');
  expect(short.stdout).toMatch(/Finished size: about 3 3\/4 in/);
});

it('prints Markdown with headings, and the plan itself again', () => {
  expect(patternText(['-', '--as', 'md']).stdout).toMatch(
    /^# Field phone pouch\n[\s\S]*\n## Front\n[\s\S]*\*\*Row 1 \(RS\):\*\*/,
  );
  expect(JSON.parse(patternText(['-', '--as', 'json', '--terms', 'UK']).stdout)).toEqual(
    JSON.parse(JSON.stringify(plan)),
  );
});

it('prints a PDF as bytes, on the paper asked for', () => {
  const { status, stdout } = patternText(['-', '--as', 'pdf', '--paper', 'Letter']);
  expect(status).toBe(0);
  expect(stdout.slice(0, 5)).toBe('%PDF-');
  expect(stdout).toMatch(/MediaBox \[0 0 612 792\]/);
});

it.each([
  ['no file', [], /^Usage:/],
  ['a kind it cannot write', ['-', '--as', 'docx'], /^--as is “docx”\. Use txt, md, json, pdf\./],
  ['a style there is not', ['-', '--style', 'long'], /^--style is “long”\. Use full, short\./],
  ['a paper there is not', ['-', '--as', 'pdf', '--paper', 'A3'], /^--paper is “A3”\. Use A4, Letter\./],
  ['an option there is not', ['-', '--ink', 'red'], /ink/],
])('tells %s on stderr and exits 2', (_what, options, message) => {
  const { status, stdout, stderr } = patternText(options);
  expect([status, stdout]).toEqual([2, '']);
  expect(stderr).toMatch(message);
});

it('tells a plan that is none, path first', () => {
  expect(patternText(['-'], '{"format":"x"}')).toMatchObject({
    status: 2,
    stdout: '',
    stderr: expect.stringMatching(/^format: /),
  });
});
