import { abbreviated } from './abbreviated';
import { abbreviationsIn, specialIn } from './glossary';
import { hookSize } from './hookSizes';

const READS = {
  US: { terms: 'US', units: 'mm', hand: 'right' },
  UK: { terms: 'UK', units: 'mm', hand: 'right' },
} as const;

describe('abbreviations', () => {
  it('are those that stand in a text, with what they mean in its language', () => {
    expect(abbreviationsIn(['Ch 1, sc in each st across, turn.'], READS.US)).toEqual([
      { short: 'ch', name: 'chain' },
      { short: 'sc', name: 'single crochet' },
      { short: 'st', name: 'stitch' },
    ]);
    expect(abbreviationsIn(['Ch 1, dc in each st across, turn.'], READS.UK)).toContainEqual({
      short: 'dc',
      name: 'double crochet',
    });
    expect(abbreviationsIn(['Nothing short here.'], READS.US)).toEqual([]);
  });

  it('explain a decrease over more than two', () => {
    expect(abbreviationsIn(['sc3tog'], READS.US)).toEqual([{ short: 'sc3tog', name: 'single crochet 3 together' }]);
    expect(abbreviationsIn(['dc3tog'], READS.UK)).toEqual([{ short: 'dc3tog', name: 'double crochet 3 together' }]);
  });
});

describe('special stitches', () => {
  it('are spelled out in the voice that is read', () => {
    const [full] = specialIn(['Spike stitch in the next stitch.'], 'full', READS.US);
    const [short] = specialIn(['Spike stitch in the next stitch.'], 'short', READS.UK);
    expect(full).toMatchObject({ id: 'spike', name: 'Spike stitch' });
    expect(full!.text).toMatch(
      /^Insert the hook .* one row down\. Yarn over and draw up a loop to the height of the row/,
    );
    expect(short!.text).toMatch(/yrh, draw up a lp to row height/);
  });

  it('are not those every reader knows', () => {
    expect(specialIn(['Chain 1, single crochet in the next stitch, slip stitch.'], 'full', READS.US)).toEqual([]);
  });
});

it('a special stitch says no count that is another plan’s, and a maker’s own name for a pattern explains nothing', () => {
  const [loop] = specialIn(['Chain 9, mesh.'], 'full', READS.US);
  expect(loop!.text).toMatch(/^Work the chains of the loop, as many as the row says\./);
  expect(specialIn(['Row 1 of “open V stitch” over 20 chains.'], 'full', READS.US)).toEqual([]);
});

describe('sentences made short', () => {
  it.each([
    ['Chain 17. Chain loosely: this edge becomes the opening.', 'Ch 17. Chain loosely: this edge becomes the opening.'],
    ['Round 2: 2 single crochet in each of the next 6 stitches.', 'Rnd 2: 2 sc in each of next 6 sts.'],
    ['Single crochet 2 together 6 times. Fasten off.', 'Sc2tog 6 times. FO.'],
    ['Turn. single crochet in each of the next 18 chains.', 'Turn. Sc in each of next 18 chs.'],
    ['30 single crochet along 35 row ends (skip every 7th).', '30 sc along 35 row ends (skip every 7th).'],
    ['9 loops of 5 chains and 10 stitches', '9 ch-5 lps and 10 sts'],
    ['Place a stitch marker at each end.', 'Pm at each end.'],
  ])('%s', (full, short) => expect(abbreviated(full, 'US')).toBe(short));

  it('keep every number', () => {
    const text =
      'Chain 9 for the loop and slip stitch into the stitch just made; 3 double crochet in the corner; 148 stitches.';
    const numbers = (said: string) => said.match(/\d+/g);
    for (const terms of ['US', 'UK'] as const) expect(numbers(abbreviated(text, terms))).toEqual(numbers(text));
  });
});

it('hooks are told in mm, and by the name they have where they have one', () => {
  expect([hookSize(4), hookSize(6.5), hookSize(4.25)]).toEqual(['4 mm (US G-6)', '6.5 mm (US K-10½)', '4.25 mm']);
});
