import { TERN_POINT } from '../demo';
import { refereePiece } from '../pattern/refereePiece';
import type { Plan } from '../plan/plan';
import { reckon } from '../reckon/reckon';

const POUCH = Object.values(TERN_POINT.plans)[0]!;

const grouped = (stitch: string, more: Partial<Plan>): Plan => ({
  ...POUCH,
  fabric: { stitch, hookMm: 4, yarn: { metresPer100g: 190 }, gauge: {} },
  ...more,
});

describe('groups above a course that a fitting changed', () => {
  it.each([
    [
      'above a buttonhole',
      grouped('cluster', { fittings: [{ kind: 'flap' }, { kind: 'buttonhole' }] }),
      /skip 1 stitch, 3 double crochet in the next stitch/,
    ],
    [
      'in rounds, above handles',
      grouped('half-double-v', { shape: { kind: 'ring-tube' }, fittings: [{ kind: 'handles' }] }),
      /skip 1 stitch, 2 half double crochet in the next stitch/,
    ],
  ])('begin anew %s: there is no gap between single stitches', (_, plan, anew) => {
    const { steps } = reckon(plan);
    const courses = steps.filter(({ work, piece }) => work && piece === 'body');
    const filled = courses
      .map(({ text }) => text)
      .lastIndexOf(courses.filter(({ text }) => fillsHole(text)).at(-1)!.text);
    expect(filled).toBeGreaterThan(1);
    expect(courses[filled + 1]!.text).toMatch(anew);
    expect(refereePiece(steps, 'body').faults).toEqual([]);
  });
});

/** Chains of the course before are worked into. */
const fillsHole = (text: string): boolean =>
  /in (?:each of the next \d+ chains|the next chain),/.test(text) && !/hook/.test(text);
