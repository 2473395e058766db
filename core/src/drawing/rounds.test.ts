import { tallyRow } from '../fabric';
import { PLAN_FORMAT, type Plan } from '../plan';
import { workOut } from '../workOut';
import type { Cloth } from './parts';

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

it.each(['chain', 'ring'])('clusters begun from a %s are drawn double for double', (strip) => {
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
