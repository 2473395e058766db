import fc from 'fast-check';
import { STITCHES, stitchDefinition } from '../../craft/fabric';
import { DEFAULT_SCHOOLS, type Schools } from '..';
import { yarnCloth } from './cloth';
import { FAMILIES, stepsOf } from './definition';
import { FRAME, framesOf } from './frames';
import { findTechniques, linksIn, spokenOf, techniqueOfStitch } from './links';
import { loopsAfter, MovesFault, NEXT, OVER, SLIP, through, UP, type Move } from './moves';
import { canBePractised, newTo } from './newTo';
import { TECHNIQUES } from './techniques';
import { toldTechnique } from './told';

const LANGUAGES = ['US', 'UK'] as const;
const US_ONLY = /single crochet|half double crochet|\bskip(ped)?\b|\bgauge\b|\byarn over\b|\byo\b|\bhdc\b|\bsl st\b/i;
const UK_ONLY = /\bmiss(ed)?\b(?! (in|a))|\btension\b|half treble|\byrh\b|\bhtr\b|\bdtr\b|double treble/i;

const inTerms = (terms: Schools['terms'], hand: Schools['hand'] = 'right'): Schools => ({
  ...DEFAULT_SCHOOLS,
  terms,
  hand,
});

describe('moves', () => {
  const anyMove: fc.Arbitrary<Move> = fc.oneof(
    fc.constant(OVER),
    fc.constant(NEXT),
    fc.constant(UP),
    fc.constant(SLIP),
    fc.integer({ min: 1, max: 6 }).map((loops) => through(loops)),
  );

  it('never leave fewer loops than one, and are refused where more are drawn through than there are', () => {
    fc.assert(
      fc.property(fc.array(anyMove, { maxLength: 14 }), (moves) => {
        try {
          const loops = loopsAfter(moves);
          for (const now of loops) expect(now).toBeGreaterThanOrEqual(1);
        } catch (error) {
          expect(error).toBeInstanceOf(MovesFault);
        }
      }),
    );
    expect(() => loopsAfter([UP, through(3)])).toThrow(MovesFault);
    expect(() => loopsAfter([SLIP])).toThrow(MovesFault);
  });

  it.each(TECHNIQUES.flatMap(({ id, moves }) => (moves ? [[id, moves] as const] : [])))(
    'of %s begin and end with one loop',
    (_id, moves) => {
      expect(loopsAfter(moves).at(-1)).toBe(1);
    },
  );

  it.each(TECHNIQUES.flatMap(({ id, moves }) => (moves ? [[id, moves] as const] : [])))(
    'of %s are drawn one by one, mirrored for the left hand',
    (_id, moves) => {
      const frames = framesOf(moves);
      const loops = loopsAfter(moves);
      expect(frames).toHaveLength(moves.length + 2);
      moves.forEach((move, index) => {
        const before = index === 0 ? 1 : loops[index - 1]!;
        const drawn = move.do === 'through' || move.do === 'slip' ? before : loops[index]!;
        expect(frames[index + 1]!.loops).toBe(drawn);
        const closing = frames[index + 1]!.lines.filter(({ role }) => role === 'closing').length;
        expect(closing).toBe(move.do === 'through' ? move.loops : move.do === 'slip' ? 2 : 0);
      });
      expect(frames.at(-1)!.loops).toBe(1);
      const first = (d: string) => Number(/^M(-?[\d.]+)/.exec(d)![1]);
      framesOf(moves, true).forEach(({ lines }, at) =>
        lines.forEach(({ d }, index) =>
          expect(first(d)).toBeCloseTo(FRAME.width - first(frames[at]!.lines[index]!.d), 0),
        ),
      );
    },
  );
});

describe('techniques', () => {
  it('are many, each once, of a family, with steps, a look and a mistake with its repair', () => {
    expect(TECHNIQUES.length).toBeGreaterThanOrEqual(55);
    expect(new Set(TECHNIQUES.map(({ id }) => id)).size).toBe(TECHNIQUES.length);
    for (const one of TECHNIQUES) {
      expect(FAMILIES.map(({ id }) => id)).toContain(one.family);
      expect(stepsOf(one).length).toBeGreaterThan(0);
      for (const text of [one.what, one.looks, one.mistake.text, one.mistake.repair]) expect(text).toMatch(/[.!]$/);
    }
    for (const { id } of FAMILIES) expect(TECHNIQUES.some(({ family }) => family === id)).toBe(true);
  });

  it('there is one of every stitch that rows are written in, but for stripes and what is the maker’s own', () => {
    for (const { id } of STITCHES)
      if (!['stripes', 'own'].includes(id)) expect(techniqueOfStitch(id)?.id).toBeDefined();
  });

  it.each(LANGUAGES)('no two are spoken of by the same word in %s', (terms) => {
    const words = TECHNIQUES.flatMap((one) => [...new Set(spokenOf(one, terms))]);
    expect(words.filter((word, index) => words.indexOf(word) !== index)).toEqual([]);
  });

  it.each(LANGUAGES)('are told in %s without a token, and without a word of the other language', (terms) => {
    for (const one of TECHNIQUES)
      for (const hand of ['right', 'left'] as const) {
        const { also: _elsewhere, ...told } = toldTechnique(one, inTerms(terms, hand));
        const text = JSON.stringify({ ...told, id: '' });
        expect(text).not.toMatch(/\{\w[\w-]*(:\w+)?\}/);
        expect(text).not.toMatch(terms === 'US' ? UK_ONLY : US_ONLY);
      }
  });

  it('tell the other side for the left hand', () => {
    const reverse = TECHNIQUES.find(({ id }) => id === 'reverse-single')!;
    expect(JSON.stringify(toldTechnique(reverse, inTerms('US', 'right')))).toContain('from left to right');
    expect(JSON.stringify(toldTechnique(reverse, inTerms('US', 'left')))).toContain('from right to left');
  });

  it('put the reader’s own habit first among the ways', () => {
    const chain = TECHNIQUES.find(({ id }) => id === 'turning-chain')!;
    const ways = (turningChainCounts: boolean) => toldTechnique(chain, { ...DEFAULT_SCHOOLS, turningChainCounts }).ways;
    expect(ways(true)[0]).toMatchObject({ name: 'It counts as a stitch', habit: true });
    expect(ways(false)[0]).toMatchObject({ name: 'It does not count', habit: true });
  });
});

describe('links', () => {
  it('make up the whole text, and find the longest word that is there', () => {
    const text = 'Whip stitch the row ends together, then fasten off.';
    const links = linksIn(text, 'US');
    expect(links.map((part) => part.text).join('')).toBe(text);
    expect(links.flatMap(({ technique }) => technique ?? [])).toEqual(['whip-stitch', 'row-ends', 'fasten-off']);
  });

  it('take the same word for another stitch on the other side', () => {
    const of = (terms: 'US' | 'UK') => linksIn('double crochet', terms)[0]!.technique;
    expect([of('US'), of('UK')]).toEqual(['double', 'single']);
  });

  it('are found by what is typed, in any order, by names from elsewhere too', () => {
    expect(findTechniques('stitch spike', 'US').map(({ id }) => id)).toEqual(['spike']);
    expect(findTechniques('crab', 'UK').map(({ id }) => id)).toEqual(['reverse-single']);
    expect(findTechniques('', 'US')).toHaveLength(TECHNIQUES.length);
    expect(findTechniques('knitting needle', 'US')).toEqual([]);
  });
});

describe('the fabric of a stitch', () => {
  const named = STITCHES.filter(({ id }) => id !== 'own').map(({ id }) => id);

  it.each(named)('of %s is four rows of yarn, with what is asked about pointed at', (id) => {
    for (const turningChainCounts of [false, true])
      for (const hand of ['right', 'left'] as const) {
        const cloth = yarnCloth(id, { turningChainCounts, hand })!;
        expect(new Set(cloth.lines.map(({ row }) => row))).toEqual(new Set([0, 1, 2, 3, 4]));
        expect(cloth.pointers.map(({ id: of }) => of)).toEqual(
          expect.arrayContaining(['last', 'turning-chain', 'back', 'front', 'chain']),
        );
        for (const { x, y } of cloth.pointers) {
          expect(x).toBeGreaterThanOrEqual(0);
          expect(x).toBeLessThanOrEqual(cloth.width);
          expect(y).toBeGreaterThanOrEqual(0);
          expect(y).toBeLessThanOrEqual(cloth.height);
        }
        for (const { d } of cloth.lines) expect(d).not.toMatch(/NaN|Infinity|undefined/);
      }
  });

  it('of spikes reaches into the row below, of crossed stitches crosses, of plain ones does neither', () => {
    const reads = { turningChainCounts: false, hand: 'right' } as const;
    /** How far the legs of a row come down, and how far they lean. */
    const legs = (id: string) =>
      yarnCloth(id, reads)!
        .lines.filter(({ part, row }) => part === 'post' && row === 3)
        .map(({ d }) => {
          const numbers = d.match(/-?[\d.]+/g)!.map(Number);
          return { down: numbers[1]! - numbers.at(-1)!, lean: Math.abs(numbers[0]! - numbers.at(-2)!) };
        });
    const longest = (id: string) => Math.max(...legs(id).map(({ down }) => down));
    const steepest = (id: string) => Math.max(...legs(id).map(({ lean }) => lean));
    expect(longest('spike')).toBeGreaterThan(1.5 * longest('single'));
    expect(steepest('crossed-double')).toBeGreaterThan(steepest('double') + 20);
    expect(steepest('linked-single')).toBeGreaterThan(steepest('single') + 10);
  });

  it('shows the last stitch at the other end for the left hand, and says which it is by the school', () => {
    const last = (reads: Parameters<typeof yarnCloth>[1]) =>
      yarnCloth('double', reads)!.pointers.find(({ id }) => id === 'last')!;
    expect(last({ turningChainCounts: false, hand: 'right' }).x).toBeGreaterThan(
      last({ turningChainCounts: false, hand: 'left' }).x,
    );
    expect(last({ turningChainCounts: true, hand: 'right' }).says).toContain('top of the turning chain');
  });
});

it('what is new to a hand is what a pattern asks for beyond a first piece, was never ticked, and can be practised', () => {
  const texts = [
    'Chain 1, single crochet in each of the next 12 stitches. Turn.',
    'Reverse single crochet in each of the next 12 stitches.',
    '2 half double crochet in the gap between each pair, half double V stitch.',
    'Fasten off.',
  ];
  const ids = (known: readonly string[]) => newTo(texts, new Set(known), 'US').map(({ id }) => id);
  expect(ids([])).toEqual(['v-tight', 'reverse-single']);
  expect(ids(['reverse-single'])).toEqual(['v-tight']);
  for (const one of TECHNIQUES.filter(canBePractised)) {
    const named = one.stitch === undefined ? undefined : stitchDefinition(one.stitch);
    expect([one.id, one.practice !== undefined || (named && !named.wantsSwatch)]).toEqual([one.id, true]);
  }
});
