import { tallyRow } from '../craft/fabric';
import { PLAN_FORMAT, type Plan } from '../plan/plan';
import { reckon } from '../reckon/reckon';
import { placesIn, type Stretch } from '../piece';
import type { Cloth } from './parts';
import { workOut } from '../reckon/build';

const plan = (shape: object, thing: object, more: object = {}): Plan =>
  ({
    format: PLAN_FORMAT,
    title: 'x',
    thing,
    fabric: { stitch: 'single', hookMm: 4, yarn: { metresPer100g: 190 } },
    shape,
    fit: { name: 'snug' },
    ...more,
  }) as Plan;

const SLAB = { kind: 'slab', width: { mm: 80 }, height: { mm: 160 }, depth: { mm: 30 } };
const BOTTLE = {
  kind: 'cylinder',
  height: { mm: 220 },
  diameter: { mm: 70 },
  shoulderHeight: { mm: 150 },
  neckDiameter: { mm: 30 },
};

function flatOf(given: Plan): { cloths: Cloth[]; piece: ReturnType<typeof workOut>['built']['pieces'][number] } {
  const { built } = workOut(given);
  const flat = built.views.find(({ id }) => id === 'flat')!;
  return { cloths: flat.parts.filter((part): part is Cloth => part.type === 'cloth'), piece: built.pieces[0]! };
}

const counts = ({ rows }: Cloth) => rows.rounds?.map(({ count }) => count);

it('a disc and an oval are drawn with the stitches of each of their rounds', () => {
  for (const [shape, thing] of [
    [{ kind: 'disc-wall' }, BOTTLE],
    [{ kind: 'round-chain', floor: 'flat' }, SLAB],
  ] as const) {
    const { cloths, piece } = flatOf(plan(shape, thing));
    const base = cloths.find(({ role }) => role === 'base')!;
    expect(counts(base)).toEqual(piece.roundCounts!.slice(0, base.rows.count));
  }
});

it('a shoulder is drawn with the half of each round that is seen', () => {
  const { cloths, piece } = flatOf(plan({ kind: 'disc-wall', takeIn: 'shoulder' }, BOTTLE));
  const shoulder = cloths.find(({ form }) => form === 'taper')!;
  const own = piece.roundCounts!.slice(-shoulder.rows.count);
  expect(counts(shoulder)).toEqual(own.map((count) => Math.floor(count / 2)));
});

it.each(['chain', 'ring'])('groups begun from a %s are drawn double for double', (strip) => {
  const shape = { kind: 'cluster-panels', strip, stripColour: 'kelp', lastColour: 'sand' };
  const { cloths, piece } = flatOf(plan(shape, { ...SLAB, depth: { mm: 9 } }, { fit: { name: 'roomy' } }));
  const [face, middle] = cloths as [Cloth, Cloth];
  const around = face.rows.rounds!;
  const drawn = around.reduce((sum, { sides }) => sum + sides!.reduce((all, one) => all + one, 0), 0);
  const doubles = piece.courses.reduce((sum, { instructions }) => sum + (tallyRow(instructions).double ?? 0), 0);
  expect(drawn + middle.rows.count * middle.rows.stitches).toBe(doubles);
  // the strip lies in the middle of the rounds
  expect(middle.x + middle.w / 2).toBeCloseTo(face.w / 2, 6);
  expect(middle.y).toBeCloseTo(around.length * face.rows.high!, 6);
  expect([middle.rows.bands![0]!.tint, around.at(-1)!.tint]).toEqual([0, 2]);
});

const bordersOf = (given: Plan) =>
  reckon(given)
    .views.find(({ id }) => id === 'folded')!
    .parts.filter((part) => part.type === 'border');

it.each(['single', 'slip', 'reverse', 'loops'])(
  'an edging of %s round an opening shows the half that is seen',
  (of) => {
    const given = plan({ kind: 'ring-tube' }, SLAB, { fittings: [{ kind: 'edging', edging: of, rounds: 2 }] });
    const [border] = bordersOf(given);
    const around = reckon(given).fittings[0]!.figures.stitches!.value;
    expect(border!.rounds.map(({ sides }) => sides)).toEqual([
      [around / 2, 0, 0, 0],
      [around / 2, 0, 0, 0],
    ]);
  },
);

it('an edging of panels shows the front’s own, and one above a shoulder is as wide as its neck', () => {
  const edged = { fittings: [{ kind: 'edging', edging: 'single', rounds: 1 }] };
  const panels = plan({ kind: 'two-panels', edging: 1 }, SLAB, edged);
  // each panel's own edging has a stitch more at each of its corners
  expect(bordersOf(panels).at(-1)!.rounds[0]!.sides[0]).toBe(reckon(panels).pieces[0]!.stitches + 2);
  const shoulder = plan({ kind: 'disc-wall', takeIn: 'shoulder' }, BOTTLE, edged);
  const taper = flatOf(shoulder).cloths.find(({ form }) => form === 'taper')!;
  expect(bordersOf(shoulder)[0]!.w).toBeLessThan(taper.w);
});

it('an edging around a flap shows its end and as much of its sides as hangs in front', () => {
  const given = plan({ kind: 'strip-across' }, SLAB, { fittings: [{ kind: 'flap' }, { kind: 'edging', rounds: 2 }] });
  const [border] = bordersOf(given);
  const [first, second] = border!.rounds.map(({ sides }) => sides);
  expect(first![0]).toBe(0);
  // the outer round has a stitch more at each corner
  expect(second![2]).toBe(first![2] + 2);
  // and no round ends where its sides begin
  expect(second![1]).toBeGreaterThanOrEqual(first![1]);
  expect(first![1]).toBeGreaterThan(0);
});

it('what an edging shows of a flap’s sides is its share of the stitches worked along them', () => {
  const given = plan({ kind: 'strip-across' }, SLAB, { fittings: [{ kind: 'flap' }, { kind: 'edging' }] });
  const [border] = bordersOf(given);
  const { built } = workOut(given);
  const side = (built.rim as () => readonly Stretch[])().find(
    ({ lies, corner }) => !corner && /back’s edge|other edge/.test(lies.of ?? ''),
  )!;
  const rows = border!.h / built.pieces[0]!.fabric.rowHeight.value;
  const perRow = side.stitches / placesIn(side.spans[0]);
  expect(Math.abs(border!.rounds[0]!.sides[1] - rows * perRow)).toBeLessThanOrEqual(1);
});

it('the join of groups lies around three sides, and goes on around the flap', () => {
  const clusters = (more: object) =>
    plan({ kind: 'cluster-panels' }, { ...SLAB, depth: { mm: 9 } }, { fit: { name: 'roomy' }, ...more });
  const { side, end } = workOut(clusters({})).built.pieces[0]!.rectangle!;
  expect(bordersOf(clusters({})).map(({ rounds }) => rounds[0]!.sides)).toEqual([[0, side, end, side]]);
  const flapped = bordersOf(clusters({ fittings: [{ kind: 'flap' }] }));
  expect(flapped).toHaveLength(2);
  expect(flapped[1]!.rounds[0]!.sides[2]).toBe(end);
});

it.each([
  [{ kind: 'ring-tube', begins: 'bottom' }, ['below', 'above']],
  [{ kind: 'ring-tube', begins: 'opening' }, ['above', 'below']],
  [{ kind: 'round-chain' }, ['below', 'above']],
])('both tails of a tube hang at its edges: %j', (shape, places) => {
  const { views } = reckon(plan(shape, SLAB));
  const flat = views.find(({ id }) => id === 'flat')!;
  const tails = flat.parts.filter((part) => part.type === 'tail');
  expect(tails.map(({ y }) => (y === 0 ? 'above' : 'below'))).toEqual(places);
});

it.each([
  [{ kind: 'disc-wall' }, BOTTLE],
  [{ kind: 'round-chain', floor: 'flat' }, SLAB],
])('the first tail of a floor hangs within it: %j', (shape, thing) => {
  const flat = reckon(plan(shape, thing)).views.find(({ id }) => id === 'flat')!;
  const base = flat.parts.find((part): part is Cloth => part.type === 'cloth' && part.role === 'base')!;
  const within = flat.parts.filter(
    (part) =>
      part.type === 'tail' &&
      part.x > base.x &&
      part.x < base.x + base.w &&
      part.y > base.y &&
      part.y < base.y + base.h,
  );
  expect(within).toHaveLength(1);
});
