import fc from 'fast-check';
import { TERN_POINT } from '../../demo';
import { reckon } from '../../reckon/reckon';
import { chartOf } from './chart';
import { chartSvg } from './svg';

const PLANS = Object.values(TERN_POINT.plans).map((plan) => [plan.title, plan] as const);

/** Tags of an XML text in order, and whether each is closed by its own. */
function isWellFormed(xml: string): boolean {
  const open: string[] = [];
  for (const [tag, name] of xml.matchAll(/<(\/?[a-z]+)(?:\s[^<>]*?)?\/?>/g)) {
    if (tag.endsWith('/>')) continue;
    if (!name!.startsWith('/')) open.push(name!);
    else if (open.pop() !== name!.slice(1)) return false;
  }
  return open.length === 0 && !/&(?!amp;|lt;|gt;|quot;|apos;)/.test(xml);
}

const count = (text: string, part: string) => text.split(part).length - 1;

describe.each(PLANS)('the chart of %s as a picture', (title, plan) => {
  const { steps, pieces } = reckon(plan);

  it('holds every sign, every number, its title and its key, and is well formed', () => {
    for (const { id, rows } of pieces) {
      const chart = chartOf(steps, { piece: id, from: 1, to: Math.min(rows, 12) })!;
      const svg = chartSvg(chart, title, { terms: 'UK', units: 'mm' });
      expect(isWellFormed(svg)).toBe(true);
      const signs = chart.courses.reduce((sum, course) => sum + course.signs.length, 0);
      expect(count(svg, '<path ')).toBe(signs + chart.courses.length + chart.key.length);
      for (const { row } of chart.courses) expect(svg).toContain(`>${row}</text>`);
      expect(svg).toContain('<title>');
      expect(svg).not.toMatch(/NaN|Infinity|undefined|single crochet/);
    }
  });
});

it('is well formed whatever it is called', () => {
  const plan = PLANS[0]![1];
  const chart = chartOf(reckon(plan).steps, { piece: 'body', from: 1, to: 2 })!;
  fc.assert(
    fc.property(fc.string({ unit: 'binary' }), (title) => {
      const svg = chartSvg(chart, title, { terms: 'US', units: 'mm' });
      expect(isWellFormed(svg)).toBe(true);
      expect(svg).not.toMatch(/[\u0000-\u0008\u000b\u000c\u000e-\u001f]/);
    }),
  );
});

it('is as large as its stitches, so that it can be printed to be read', () => {
  const chart = chartOf(reckon(PLANS[0]![1]).steps, { piece: 'body', from: 1, to: 12 })!;
  const svg = chartSvg(chart, 'x', { terms: 'US', units: 'mm' });
  const [, width, height] = /width="([\d.]+)mm" height="([\d.]+)mm"/.exec(svg)!;
  expect(Number(width)).toBeCloseTo(6 * Math.max(16, chart.box[2]), 1);
  expect(Number(height)).toBeGreaterThan(6 * chart.box[3]);
});
