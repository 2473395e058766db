import { reckon } from '@keep-snug/core';
import { TERN_POINT } from '@keep-snug/core/demo';
import { linesOf, sheetText } from './sheetText';

const plan = Object.values(TERN_POINT.plans)[0]!;
const worked = reckon(plan);

it('gathers rows alike into one line, and loses none', () => {
  const labels = linesOf(worked.steps)
    .map(({ label }) => label)
    .filter(Boolean);
  expect(labels.slice(0, 3)).toEqual([
    'Row 1, right side facing',
    'Rows 2 to 35, wrong side first',
    'Rows 36 to 70, wrong side first',
  ]);
  const rows = labels.flatMap((label) => {
    const [from, to] = [...label.matchAll(/\d+/g)].map(Number) as [number, number?];
    return Array.from({ length: (to ?? from) - from + 1 }, (_, index) => from + index);
  });
  expect(rows).toEqual(Array.from({ length: worked.pieces[0]!.rows }, (_, index) => index + 1));
});

it('is read as plain text, each row with the count it ends on', () => {
  const text = sheetText(plan, worked, { terms: 'UK', units: 'mm' });
  expect(text).toMatch(/^Field phone pouch\nWritten in UK crochet terms/);
  expect(text).toMatch(/\n\nFRONT\nChain 17\./);
  expect(text).toMatch(/\nTOP FOLD\n/);
  expect(text).toMatch(/Rows 2 to 35, wrong side first: .*\(16\) Place a stitch marker/);
});
