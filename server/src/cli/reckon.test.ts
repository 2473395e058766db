import { TERN_POINT } from '@keep-snug/core/demo';
import { fileURLToPath } from 'node:url';
import { asItStands, bundled } from '../fixtures/bundled';

const script = fileURLToPath(new URL('./reckon.ts', import.meta.url));
const plan = Object.values(TERN_POINT.plans)[0]!;

let built: Awaited<ReturnType<typeof bundled>>;
beforeAll(async () => {
  built = await bundled(script);
});
afterAll(() => built.done());

const reckonText = (input: string, file = '-') => built.run([file], input);

it('prints the worked plan', () => {
  const { status, stdout } = asItStands(script, ['-'], JSON.stringify(plan));
  expect(status).toBe(0);
  expect(JSON.parse(stdout)).toMatchObject({ pieces: [{ stitches: 16 }], inside: { girth: { unit: 'mm' } } });
});

it.each([
  ['no JSON', 'nonsense', /^plan: Not JSON/],
  ['a wrong format', JSON.stringify({ ...plan, format: 'x' }), /^format: “x” is not known/],
  [
    'a string for a number',
    JSON.stringify({ ...plan, fit: { name: 'snug', easeMm: '3' } }),
    /^fit\.easeMm: “3” is text/,
  ],
  ['too much text', 'x'.repeat(2_000_000), /^plan: 2000000 characters/],
])('tells %s on stderr, path first, and exits 2', (_, input, message) => {
  const { status, stdout, stderr } = reckonText(input);
  expect([status, stdout]).toEqual([2, '']);
  expect(stderr).toMatch(message);
});

it('tells a file that is not there', () => {
  expect(reckonText('', 'no-such-plan.json')).toMatchObject({
    status: 2,
    stderr: expect.stringMatching(/^plan: .*no-such-plan/),
  });
});
