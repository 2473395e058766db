import { TERN_POINT } from '../demo';
import type { Plan } from '../plan/plan';
import { reckon } from '../reckon/reckon';
import { refereePiece } from './refereePiece';
import { DEFAULT_SCHOOLS, type Schools } from './schools';
import { wordText } from './terms';

const planOf = (title: string): Plan => Object.values(TERN_POINT.plans).find((plan) => plan.title.includes(title))!;
const phone = planOf('Field phone');
const flask = planOf('flask');
const doubled = { ...phone, fabric: { ...phone.fabric, stitch: 'double', gauge: {} }, fittings: [] };
const worked = (plan: Plan, schools: Partial<Schools>) => reckon({ ...plan, schools });
const texts = (plan: Plan, schools: Partial<Schools>) => worked(plan, schools).steps.map(({ text }) => text);

describe('the turning chain', () => {
  it('counts or does not: the chain number and every row say which, and both work out', () => {
    const plain = worked(doubled, { turningChainCounts: false });
    const counting = worked(doubled, { turningChainCounts: true });
    const n = plain.pieces[0]!.stitches;
    expect(plain.pieces[0]!.foundation.count).toBe(n + 3);
    expect(counting.pieces[0]!.foundation.count).toBe(n + 2);
    expect(plain.steps[2]!.text).toMatch(/^Chain 2, double crochet in each of the next \d+ stitches/);
    expect(counting.steps[1]!.text).toMatch(
      /^Double crochet in the 4th chain from the hook \(the 3 skipped chains count as the first stitch\)/,
    );
    expect(counting.steps[2]!.text).toMatch(/^Chain 3 \(counts as a stitch\), skip 1 stitch, double crochet/);
    for (const { steps } of [plain, counting]) expect(refereePiece(steps, 'body').faults).toEqual([]);
  });

  it('of single is a stitch in no school', () => {
    expect(worked(phone, { turningChainCounts: true }).pieces[0]!.foundation.count).toBe(
      worked(phone, {}).pieces[0]!.foundation.count,
    );
  });
});

describe('rounds', () => {
  it('are joined and chained up, or go on in a spiral', () => {
    expect(texts(flask, { rounds: 'joined' })[2]).toMatch(/^Chain 1, .*join with a slip stitch to the first stitch\.$/);
    expect(texts(flask, { rounds: 'spiral' })[2]).not.toMatch(/join/);
  });

  it('of double, joined, may begin with a chain that counts', () => {
    const bag = { ...planOf('gift'), fabric: { ...planOf('gift').fabric, stitch: 'double' }, fittings: [] };
    const counted = worked(bag, { rounds: 'joined', turningChainCounts: true });
    const wall = counted.steps.filter(({ section }) => section === 'wall');
    expect(wall[1]!.text).toMatch(/^Chain 3 \(counts as a stitch\), skip 1 stitch/);
    expect(refereePiece(counted.steps, 'body').faults).toEqual([]);
  });

  it('keep their right side outside, and say round', () => {
    const rounds = worked(flask, {}).steps.filter(({ kind }) => kind === 'round');
    expect(rounds.every(({ side }) => side === 'right')).toBe(true);
  });
});

describe('beginnings', () => {
  it('a ring is wrapped, or two chains', () => {
    expect(texts(flask, { ring: 'wrapped' })[0]).toMatch(/round two fingers/);
    expect(texts(flask, { ring: 'two-chains' })[0]).toMatch(/^Chain 2/);
  });

  it('rows begin on a chain, or on foundation stitches that are row 1 as well', () => {
    const chain = worked(phone, { foundation: 'chain' });
    const stitches = worked(phone, { foundation: 'stitches' });
    expect(stitches.steps[0]).toMatchObject({
      row: 1,
      ends: 16,
      text: expect.stringMatching(/16 foundation single crochet: chain and row 1 in one/),
    });
    expect(stitches.steps).toHaveLength(chain.steps.length - 1);
    expect(refereePiece(stitches.steps, 'body')).toMatchObject({ faults: [], courses: 87, ends: 16 });
  });

  it('a pattern that is more than plain keeps its chain', () => {
    const vs = { ...phone, fabric: { ...phone.fabric, stitch: 'half-double-v', gauge: {} }, fittings: [] };
    expect(worked(vs, { foundation: 'stitches' }).steps[0]!.text).toMatch(/^Chain \d+\./);
  });
});

describe('the other hand', () => {
  it('reads left for right where a side is named, and nothing else', () => {
    expect(wordText('from the {side:left}', { ...DEFAULT_SCHOOLS, hand: 'left' })).toBe('from the right');
    expect(wordText('from the {side:left}, {side:clockwise}', DEFAULT_SCHOOLS)).toBe('from the left, clockwise');
    const wrap = planOf('hook wrap');
    expect(texts(wrap, { hand: 'left' }).join(' ')).toMatch(/counted from the right/);
    expect(texts(wrap, { hand: 'right' }).join(' ')).toMatch(/counted from the left/);
  });
});

describe('checks at their moment', () => {
  it('a chain joined without a twist, a base that lies flat, a count at each section’s end', () => {
    const tube = worked(planOf('loupe'), {});
    expect(tube.steps[0]!.check!.look).toMatch(/No twist/);
    const base = worked(flask, {}).steps.find(({ section, check }) => section === 'base' && check)!;
    expect(base.check!.look).toMatch(/37 stitches. The base lies flat/);
  });

  it('folds are marked where they come, and a fold line is worked in the back loops where it is wanted', () => {
    const lined = reckon({ ...phone, fittings: [{ kind: 'flap', foldLine: 'back-loops' }] });
    const folds = lined.steps.filter(({ note }) => note?.includes('back loop only'));
    expect(folds.map(({ section }) => section)).toEqual(['turn', 'flap']);
  });
});
