import { PLAN_FORMAT, type Plan } from '../plan/plan';
import { reckon } from '../reckon/reckon';
import type { Cloth, Part } from './parts';
import { tailsOf } from './tails';

const plan = (fittings: NonNullable<Plan['fittings']>, shape: Plan['shape'] = { kind: 'strip-across' }): Plan => ({
  format: PLAN_FORMAT,
  title: 'x',
  thing: { kind: 'slab', width: { mm: 78 }, height: { mm: 160 }, depth: { mm: 9 } },
  carrier: { kind: 'body', loop: { mm: 900 }, loopIs: 'edge-to-edge' },
  fabric: { stitch: 'single', hookMm: 4, yarn: { metresPer100g: 190 } },
  shape,
  fit: { name: 'snug' },
  fittings,
});

const isCloth = (part: Part): part is Cloth => part.type === 'cloth';

it('every piece made for a fitting is drawn, with as many stitches and rows as it has', () => {
  const { pieces, views } = reckon(plan([{ kind: 'strap' }, { kind: 'belt-loop' }]));
  const view = views.find(({ id }) => id === 'parts')!;
  const cloths = view.parts.filter(isCloth);
  expect(cloths.map(({ label }) => label)).toEqual(['strap', 'belt loop']);
  const [, ...made] = pieces;
  expect(cloths.map(({ rows }) => rows.count * rows.stitches)).toEqual(
    made.map(({ rows, stitches }) => rows * stitches),
  );
  for (const { x, y, w, h } of cloths) {
    expect(x + w).toBeLessThanOrEqual(view.width + 1e-6);
    expect(y + h).toBeLessThanOrEqual(view.height + 1e-6);
  }
  expect(view.text).toMatch(/^Made for it besides: Strap: 6 stitches/);
  expect(reckon(plan([])).views.map(({ id }) => id)).toEqual(['flat', 'folded', 'cut']);
});

it('tails hang where the first row ends, and where the last one does', () => {
  const box = { x: 0, y: 0, w: 100, h: 60 };
  expect(tailsOf({ rows: 7, foundation: {} }, 'x', box)).toMatchObject({
    start: { x: 0, y: 0 },
    end: { x: 100, y: 0 },
  });
  expect(tailsOf({ rows: 8, foundation: {} }, 'x', box)).toMatchObject({
    start: { x: 0, y: 0 },
    end: { x: 100, y: 60 },
  });
  expect(tailsOf({ rows: 7, foundation: {} }, 'y', box)).toMatchObject({ start: { x: 0, y: 60 }, end: { x: 0, y: 0 } });
  expect(tailsOf({ rows: 8, foundation: {} }, 'y', box)).toMatchObject({
    start: { x: 0, y: 60 },
    end: { x: 100, y: 0 },
  });
  // after foundation stitches the first one hangs where row 1 began
  expect(tailsOf({ rows: 8, foundation: { inOne: true } }, 'y', box)).toMatchObject({ start: { x: 100, y: 60 } });
  const tailed = ({ views }: ReturnType<typeof reckon>) => views[0]!.parts.filter(({ type }) => type === 'tail').length;
  expect(tailed(reckon(plan([])))).toBe(2);
});

it('a cord runs before every second of the gaps between its holes, and hangs out of the first', () => {
  const { views } = reckon(plan([{ kind: 'drawstring' }], { kind: 'round-chain' }));
  const { parts } = views.find(({ id }) => id === 'folded')!;
  const holes = parts.find((part) => part.type === 'dots')!.points;
  const cords = parts.filter((part) => part.type === 'line' && part.label === 'cord');
  expect(cords).toHaveLength(Math.floor((holes.length - 1) / 2) + 1);
  for (const cord of cords) {
    if (cord.type !== 'line') continue;
    expect(holes.some(([x, y]) => x === cord.x1 && y === cord.y1)).toBe(true);
  }
});
