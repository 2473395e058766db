import { stitchPattern, type Instruction } from '../craft/fabric';
import { loopRow } from '../fittings/closures/buttonLoop';
import { placesOf, refereeRow, type WorkedPlace } from './referee';
import { term, wordText } from './terms';
import { wordRow } from './wording';

const single = stitchPattern('single');
const course = { course: 2, turningChainCounts: false };
const plain = (stitches: number) => single.row({ stitches, below: 'pattern', ...course });
const first = (stitches: number) => single.row({ stitches, below: 'chain', ...course });

describe('wording', () => {
  const us = { terms: 'US' as const };
  const uk = { terms: 'UK' as const };

  it('words a row in either terms, never mixed', () => {
    expect(wordRow(plain(16), us)).toBe('Chain 1, single crochet in each of the next 16 stitches.');
    expect(wordRow(plain(16), uk)).toBe('Chain 1, double crochet in each of the next 16 stitches.');
    expect(wordRow(first(16), us)).toBe(
      'Single crochet in the 2nd chain from the hook and in each of the next 15 chains.',
    );
    expect(wordRow(first(16), uk)).toBe(
      'Double crochet in the 2nd chain from the hook and in each of the next 15 chains.',
    );
  });

  it('fills tokens with terms and with lengths in the reader’s unit', () => {
    expect(wordText('{single} for {mm:25.4}', { terms: 'UK', units: 'in' })).toBe('double crochet for 1 in');
    expect(term('gauge', 'UK')).toBe('tension');
  });
});

describe('the referee', () => {
  it('passes a row that uses just what is there', () => {
    expect(refereeRow(plain(16), placesOf(16))).toMatchObject({ ok: true, made: 16 });
    expect(refereeRow(first(16), placesOf(17, 'chain'))).toMatchObject({ ok: true, made: 16 });
  });

  it('faults a row that runs out, leaves stitches, or loops into nothing', () => {
    expect(refereeRow(plain(16), placesOf(15))).toMatchObject({ ok: false, fault: expect.stringMatching(/needs/) });
    expect(refereeRow(plain(16), placesOf(17))).toMatchObject({ ok: false, fault: '1 left unworked' });
    expect(refereeRow([{ do: 'loop', chains: 8, closes: 'same-stitch' }], [])).toMatchObject({ ok: false });
  });
});

describe('the referee meets places of their kind', () => {
  it('and faults a stitch into a space that is a stitch, a wrap round nothing, a group too wide', () => {
    const faultOf = (row: Instruction[], count = 3) => refereeRow(row, placesOf(count));
    expect(faultOf([{ do: 'work', stitch: 'single', times: 1, into: 'space' }])).toMatchObject({
      fault: expect.stringMatching(/meets a stitch/),
    });
    expect(faultOf([{ do: 'wrapped', stitch: 'single', times: 1 }])).toMatchObject({ ok: false });
    const space: WorkedPlace = { kind: 'space', columns: 3 };
    const gap: Instruction = { do: 'group', parts: [{ stitch: 'double', count: 2 }], over: 2, into: 'gap', times: 1 };
    expect(refereeRow([gap], [space])).toMatchObject({ ok: false });
  });

  it('counts a space as the columns it spans, and chains one by one', () => {
    const loop: Instruction = { do: 'chain', chains: 5, spans: 3, as: 'space' };
    const hole: Instruction = { do: 'chain', chains: 4, spans: 4, as: 'chains' };
    expect(refereeRow([loop, { do: 'skip', times: 3, into: 'stitch' }], placesOf(3))).toMatchObject({
      made: 3,
      places: [{ kind: 'space' }],
    });
    expect(refereeRow([hole, { do: 'skip', times: 4, into: 'stitch' }], placesOf(4))).toMatchObject({ made: 4 });
  });

  it('keeps what is left for later', () => {
    const half: Instruction[] = [
      { do: 'work', stitch: 'single', times: 2, into: 'stitch' },
      { do: 'leave', times: 3 },
    ];
    expect(refereeRow(half, placesOf(5))).toMatchObject({ ok: true, made: 2, left: [{}, {}, {}] });
  });
});

describe('a loop at the middle of a row', () => {
  it.each([3, 4, 15, 16, 33, 34])('leaves as many of %i stitches on either side', (stitches) => {
    const row = loopRow(plain(stitches), stitches, 9);
    const [before, after] = row.filter((i) => i.do === 'work').map((i) => i.times);
    expect(refereeRow(row, placesOf(stitches))).toMatchObject({ ok: true, made: stitches });
    // with an odd count the loop sits on the middle stitch, which is the last one worked before it
    expect(stitches % 2 === 1 ? before! - 1 : before).toBe(after);
  });
});
