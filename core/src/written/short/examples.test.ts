import { repeat, work, inOne, type Instruction } from '../../craft/fabric';
import { placesOf } from '../../pattern/referee';
import { readShort } from './read';
import { shortCourse } from './write';

const chain = (chains: number): Instruction => ({ do: 'turning-chain', chains, counts: false });
const counted = (chains: number): Instruction => ({ do: 'turning-chain', chains, counts: true });
const skip = (times: number, into: 'stitch' | 'chain' | 'space' = 'stitch'): Instruction => ({
  do: 'skip',
  times,
  into,
});
const join: Instruction = { do: 'join' };
const loop = (chains: number, spans: number): Instruction => ({ do: 'chain', chains, spans, as: 'space' });

/** What published patterns say of such rows, in both languages. */
const EXAMPLES: readonly [what: string, kind: 'row' | 'round', of: Instruction[], US: string, UK: string][] = [
  [
    'row 1, plain',
    'row',
    [skip(1, 'chain'), work('single', 16, 'chain')],
    'Sc in 2nd ch from hook and in each ch across',
    'Dc in 2nd ch from hook and in each ch across',
  ],
  [
    'row 1 of tall stitches, the chains counted',
    'row',
    [{ do: 'skip', times: 3, into: 'chain', counts: true }, work('double', 13, 'chain')],
    'Dc in 4th ch from hook (chs before it count as st) and in each ch across',
    'Tr in 4th ch from hook (chs before it count as st) and in each ch across',
  ],
  ['a plain row', 'row', [chain(1), work('single', 16)], 'Ch 1, sc in each st across', 'Ch 1, dc in each st across'],
  [
    'a row upon a counted chain',
    'row',
    [counted(3), skip(1), work('double', 13), { do: 'last-in-top' }],
    'Ch 3 (counts as st), sk next st, dc in each st across, dc in top of tch',
    'Ch 3 (counts as st), miss next st, tr in each st across, tr in top of tch',
  ],
  ['a spiral round', 'round', [work('single', 26)], 'Sc in each st around', 'Dc in each st around'],
  [
    'a joined round',
    'round',
    [chain(1), work('single', 26), join],
    'Ch 1, sc in each st around, sl st in first st to join',
    'Ch 1, dc in each st around, ss in first st to join',
  ],
  ['a ring', 'round', [work('single', 6, 'ring')], '6 sc in ring', '6 dc in ring'],
  [
    'increases',
    'round',
    repeat([work('single', 2), inOne('single', 2)], 6),
    '*sc in next 2 sts, 2 sc in next st; rep from * around',
    '*dc in next 2 sts, 2 dc in next st; rep from * around',
  ],
  [
    'a decrease',
    'round',
    [work('single', 4), { do: 'together', stitch: 'single', over: 2, times: 1 }, work('single', 31)],
    'Sc in next 4 sts, sc2tog, sc in next 31 sts',
    'Dc in next 4 sts, dc2tog, dc in next 31 sts',
  ],
  [
    'the back loop',
    'row',
    [chain(1), work('single-back-loop', 59)],
    'Ch 1, BLO sc in each st across',
    'Ch 1, BLO dc in each st across',
  ],
  [
    'a buttonhole',
    'row',
    [chain(1), work('single', 6), { do: 'chain', chains: 4, spans: 4, as: 'chains' }, skip(4), work('single', 6)],
    'Ch 1, sc in next 6 sts, ch 4, sk next 4 sts, sc in next 6 sts',
    'Ch 1, dc in next 6 sts, ch 4, miss next 4 sts, dc in next 6 sts',
  ],
  [
    'a mesh upon plain stitches',
    'row',
    [chain(1), work('single', 1), ...repeat([loop(5, 3), skip(3), work('single', 1)], 3)],
    'Ch 1, sc in next st, *ch-5 lp, sk next 3 sts, sc in next st; rep from * across',
    'Ch 1, dc in next st, *ch-5 lp, miss next 3 sts, dc in next st; rep from * across',
  ],
  [
    'open Vs',
    'round',
    repeat(
      [
        skip(1),
        {
          do: 'group',
          parts: [
            { stitch: 'double', count: 1 },
            { chains: 1, spans: 1 },
            { stitch: 'double', count: 1 },
          ],
          over: 1,
          into: 'stitch',
          times: 1,
        },
        skip(1),
      ],
      9,
    ),
    '*sk next st, (dc, ch 1, dc) in next st, sk next st; rep from * around',
    '*miss next st, (tr, ch 1, tr) in next st, miss next st; rep from * around',
  ],
  [
    'a button loop',
    'row',
    [chain(1), work('single', 8), { do: 'loop', chains: 9, closes: 'next-stitch' }, work('single', 8)],
    'Ch 1, sc in next 8 sts, ch 9 for lp, sc in next 8 sts',
    'Ch 1, dc in next 8 sts, ch 9 for lp, dc in next 8 sts',
  ],
  [
    'crossed pairs',
    'row',
    [chain(2), { do: 'crossed', stitch: 'double', times: 7 }],
    'Ch 2, 7 crossed dc pairs',
    'Ch 2, 7 crossed tr pairs',
  ],
  [
    'chains that lead over as many stitches as would bring the hook up',
    'round',
    [{ do: 'chain', chains: 3, spans: 3, as: 'chains' }, skip(3), work('single', 20)],
    'Ch 3, sk next 3 sts, sc in next 20 sts',
    'Ch 3, miss next 3 sts, dc in next 20 sts',
  ],
  [
    'a pattern of the maker’s own',
    'row',
    [chain(1), { do: 'own-row', row: 2, name: 'shells, small', stitches: 17, into: 'stitch' }],
    'Ch 1, row 2 of “shells, small” over next 17 sts',
    'Ch 1, row 2 of “shells, small” over next 17 sts',
  ],
];

/** Enough places below of the kind the row goes into. */
function below(of: readonly Instruction[]): ReturnType<typeof placesOf> {
  const uses = (list: readonly Instruction[]): number =>
    list.reduce((sum, one) => {
      if (one.do === 'repeat') return sum + one.times * uses(one.of);
      if (one.do === 'work') return sum + (one.into === 'ring' ? 0 : one.times);
      if (one.do === 'skip') return sum + one.times;
      if (one.do === 'group') return sum + one.over * one.times;
      if (one.do === 'together') return sum + one.over * one.times;
      if (one.do === 'crossed') return sum + 2 * one.times;
      return one.do === 'own-row' ? sum + one.stitches : sum;
    }, 0);
  return placesOf(uses(of), of.some((one) => 'into' in one && one.into === 'chain') ? 'chain' : 'stitch');
}

it.each(EXAMPLES)('%s is written as patterns have it, and read back', (_what, kind, of, US, UK) => {
  expect(shortCourse(of, kind, { terms: 'US' })).toBe(US.replace(/^\*s/, '*s'));
  expect(shortCourse(of, kind, { terms: 'UK' })).toBe(UK);
  expect(readShort(US, { terms: 'US' }, below(of))).toEqual(of);
  expect(readShort(`${UK}, turn.`, { terms: 'UK' }, below(of))).toEqual(of);
});

it('what is no word of it is named', () => {
  expect(() => readShort('Knit in each st across', { terms: 'US' }, placesOf(4))).not.toThrow();
  expect(() => readShort('Ch 1, twiddle about', { terms: 'US' }, placesOf(4))).toThrow('cannot be read: twiddle about');
});
