import type { Known, ReadPiece } from './read';
import { heldBy, mmOf, needs, plain, says, within, type Holds, type SentenceForm } from './words';

const last = ({ pieces, now }: Known): ReadPiece => now ?? pieces.at(-1)!;
const first = ({ pieces }: Known): ReadPiece => pieces[0]!;
const most = (piece: ReadPiece) => Math.max(...piece.counts.filter(Boolean), piece.begun);

const marker: Holds = ([row], known) => {
  const piece = last(known);
  const at = row === undefined ? piece.rows : Number(row);
  piece.bounds.add(at);
  return at === piece.rows ? needs(/stitch marker/)([], known) : `a marker in row ${at} at row ${piece.rows}`;
};

const hook: Holds = ([size], { facts, notions }) => {
  const mm = size!.replace(/^the | mm hook$/g, '');
  return facts.get('Hook')!.startsWith(mm) || notions.includes(`(${mm} mm)`)
    ? undefined
    : `the ${mm} mm hook is not at the head`;
};

/** Yarns that are named are at the head. */
const colour: Holds = ([named], known) => {
  for (const one of named!.split(' and ')) {
    if (/ hook$/.test(one)) return hook([one], known);
    const colours = known.facts.get('By colour') ?? '';
    if (!/^(the yarn|the main colour)$/.test(one) && !colours.includes(one))
      return `${one} is not among the colours: ${colours}`;
    if (one === 'the main colour' && colours !== '' && !colours.includes(one)) return `no main colour: ${colours}`;
  }
  return undefined;
};

const tail: Holds = ([length], { tails }) => {
  tails.add(length!);
  return undefined;
};

/** Stitches of so many, counted from an end: they rise and stay within. */
const columns: Holds = ([places, of]) => {
  const told = [...places!.matchAll(/(\d+) and (\d+)/g)].map(([, a, b]) => [Number(a), Number(b)] as const);
  const wrong = told.find(([a, b], at) => b !== a + 1 || a < 1 || b > Number(of) || (at > 0 && a <= told[at - 1]![0]));
  return wrong && `stitch ${wrong[0]} and ${wrong[1]} of ${of}`;
};

/** A place told by row and stitch is on the piece, and in the middle where nothing else is said. */
const buttonAt: Holds = ([below, row, from, to], known) => {
  const piece = first(known);
  const stitch = (Number(from) + Number(to ?? from)) / 2;
  return (
    within('row', Number(row), 1, piece.rows) ??
    within('stitch', stitch, 1, most(piece)) ??
    (mmOf(below!) > 0 ? undefined : 'no way down')
  );
};

const FORMS: readonly SentenceForm[] = [
  ...plain(
    'Turn\\.',
    'Fasten off\\.',
    'Chain \\d+\\.',
    '(?:Chain loosely): this edge becomes the opening\\.',
    'Chain firmly, but not tight: this edge will be closed\\.',
    'This edge will be sewn into a seam\\.',
    'Chain evenly, neither tightly nor loosely\\.',
    'Being careful not to twist the chain, join with a slip stitch to form a ring\\.',
    'You will work along both sides of this chain\\.',
    'Chain 2: the first (?:row|round) goes into the first of them\\.',
    'Chains that begin a row or round of this piece do not count as a stitch\\.',
    'Move it up every round\\.',
    'It curls at first, and settles after a few of these\\.',
    'A little curl in the first rounds settles\\.',
    'Keep the side that faces you outside until the end\\.',
    'Turn the right side out(?:side)? now, if it is not\\.',
    'The back ends here; the top fold starts with the next row\\.',
    'The base is done\\.',
    'Along the first side work into the back loop of each chain, along the other into the loop that is left\\.',
    'Lay it flat, the chain along its bottom\\.',
    'Work on to the fold you are nearest, or pull out to it\\.',
    'Work on to the fold at the beginning of the row above it, or pull out to it\\.',
    'Continue over the first face alone, without turning\\.',
    'If yours lies elsewhere, begin as many stitches sooner or later\\.',
    'Turn the pocket through its open bottom: it hangs on the outside, and its wrong side shows\\.',
    'Put the item in now: the next rounds are worked around its shoulder, and it does not come out through them again\\.',
    'Work this row in the back loop only(?: \\(BLO\\))?: it folds here\\.',
    'Take the item out again\\.',
    'Put in what it is for\\.',
    'Mark the place\\.',
    'Weave in all ends that are left: run each along a row and back, then trim\\.',
    'Weave in the ends of [^.]* now: the next layer closes over them\\.',
    'Work it from SIDE to SIDE, without turning\\.',
    'Pin each side in three places, or use stitch markers\\.',
    'Lay one (?:panel|rectangle) on the other, wrong sides? together, (?:top|bottom) edges level\\.',
    'Lay the front on the back, wrong sides? together, bottom edges level\\.',
    'Lay the (?:back|rectangle) wrong side up\\.',
    'Lay the pocket on it, right side up, bottom edges level\\.',
    'Lay the pockets on it, the lowest on top, right side up, bottom edges level\\.',
    'Fold the strip at the bottom fold markers, wrong sides? together, so that the front lies on the back\\.',
    'Make a second one in the same way\\.',
    'Make \\d+ of them\\.',
    'Make the second panel in the same way, with its edging, and fasten off\\.',
    'It differs in the last round of its edging: along its last row, after \\d+ stitch(?:es)? of \\d+, chain \\d+ for the loop(?: and slip stitch into the stitch just made)?\\.',
    'For the (?:cord|tie)(?:, with [^:]+)?: Chain \\d+\\.',
    'The tie, on from where you are: Chain \\d+\\.',
    'Lay it flat along its bottom: the loop sits in the middle of one side, the back\\.',
    'Lay it flat along its bottom and slip stitch on to the next fold, about \\d+ stitch(?:es)?\\.',
    'The (?:flower|strap|tie|loop)(?:, (?:on )?from where (?:you are|the hook is))?[.]',
    'The tie, on from where you are:',
    'Mark where the loop ends\\.',
    'Tuck both ends in\\.',
    'The anchors are (?:the two side edges|stitch \\d+ and stitch \\d+ of the last round)\\.',
    'Hang the clip in\\.',
    'Fold it in half and let it twist on itself\\.',
    'Fold it in half, right sides? together\\.',
    'Knot (?:them|each pair) at both ends, fix one end and twist until the cord kinks\\.',
    'Go over the top end of each twice\\.',
    'Go twice over the first and the last place of the bottom, and at both ends of the opening\\.',
    'Slide the toggle over (?:it|both ends)\\.',
    'Thread (?:both ends of the cord|the free end of the tie) through the cord stopper\\.',
    'Turn the [a-z]+ inside out, the loop kept on the hook: the side that faced you comes inside\\.',
    'Put it in the pouch without turning it\\.',
    'Sew both ends on, going over each seam three times\\.',
    'Slip a card inside, so that no stitch goes through to the other side\\.',
    'Slip stitch in each of the next \\d+ rows\\.',
    'Clip the strap’s swivel hooks into two rings sewn to the anchors\\.',
    'With [^:]+ of yarn, Close each end: .*',
    'Hang it over the bar, filled, bring both tabs around to the front and mark the place under each hole\\.',
    'Fold both long edges to the middle, fold it in half lengthwise and sew along the open edge\\.',
    'Sew (?:on |the )?(?:button|bead|bell|ring|tag \\(LEN × LEN\\)|flower|half|eye|soft patch)[^.]*\\.',
    'Fold one side over the middle third and the other over both: each third is LEN wide\\.',
    'Draw COLOUR through the loop on the hook, and cut the yarn it was of\\.',
    'Put the item in, close the flap and mark through the (?:hole|space at the middle)[^.]*\\.',
    'The (?:loop|button) .* in the middle of one side, the back\\.',
    'Close each end with LEN of yarn: .*',
    'Close each end with about LEN of yarn: .*',
    'Join the yarn at the bottom\\.',
    'Join the yarn in a loop that round \\d+ left free, the bag held upside down, the outside facing\\.',
    'Join (?:the yarn|COLOUR) (?:with a slip stitch )?(?:at|in|to) the [^.]*\\.',
    'Sew it to the (?:bottom (?:left|right) corner|middle of the bottom|middle of the flap’s edge|SIDE side edge, a row below the opening)\\.',
  ),
  says('With (COLOUR):', colour),
  says('Leave a tail of (LEN) to sew with\\.', tail),
  says('Fasten off, leaving a tail of (LEN) to sew with\\.', tail),
  says('Fasten off, leaving a tail as long\\.'),
  says(
    'Make a magic ring: wrap the yarn around two fingers, and pull the end to close the ring after round (\\d+)\\.',
    (_, known) => (last(known).foundation === 'ring' ? undefined : 'a ring of a chain'),
  ),
  says('Join the yarn [^.]*\\. Work the next (?:rows|rounds) over these (\\d+) stitches\\.'),
  says('Work the next (?:rows|rounds) over these (\\d+) stitch(?:es)?\\.'),
  says(
    'Place a stitch marker at each end of (?:this (?:row|round)|(?:row|round) (\\d+))(?: \\(bottom fold\\))?\\.',
    ([row], known) => marker(row === undefined ? [] : [row], known),
  ),
  says('Place a stitch marker in (?:the )?first (?:stitch|chain|space)[^.]*\\.', needs(/stitch marker/)),
  says(
    'Place a stitch marker in row (\\d+) and in row (\\d+), (?:stitches and chains )?counted(?: alike)? from where each begins: (.*)\\.',
    ([from, to, at], known) => {
      const { rows, counts, begun, foundation } = first(known);
      const alike = at!.includes('place');
      const columnsTold = [...at!.matchAll(/after (?:stitch|place) (\d+)/g)].map(([, n]) => Number(n));
      return (
        within('row', Number(from), 1, rows) ??
        within('row', Number(to), 1, rows) ??
        columnsTold
          .map((n) =>
            within('stitch', n, 1, alike && foundation === 'chain' ? begun : Math.max(...counts.filter(Boolean))),
          )
          .find(Boolean)
      );
    },
  ),
  says(
    'Place a stitch marker, (?:stitches and chains )?counted(?: alike)? from where each row begins: .*\\.',
    needs(/stitch marker/),
  ),
  says(
    'Change to (COLOUR) (?:in the last pull-through of (?:this (?:row|round)|(?:row|round) \\d+)|on the joining slip stitch)\\.(?: .*)?',
    colour,
  ),
  says('It then measures about (LEN) from its beginning\\.', ([length], known) => tall(mmOf(length!), known)),
  says('Mark this fold and the other, (\\d+) stitches on\\.', ([half], known) => {
    const piece = last(known);
    const whole = piece.course.places.length;
    if (2 * Number(half) !== whole && 2 * Number(half) !== most(piece)) return `${half} is not half of ${whole}`;
    return undefined;
  }),
  says(
    'Lay it flat along its bottom and mark both folds: rounds lean, and one of them lies (?:about (\\d+) stitch(?:es)? (?:before|on from)|at) the beginning of the round now\\.',
    ([off], known) =>
      off === undefined ? undefined : within('fold', Number(off), 1, last(known).course.places.length / 2),
  ),
  says(
    'Work on to above the first stitch of round (\\d+), then slip stitch in (?:(?:the )?next stitch|each of (?:the )?next (\\d) stitches) to level the step\\.',
    ([, slips]) => (slips === undefined ? undefined : within('slips', Number(slips), 2, 4)),
  ),
  says(
    'Lay the tube flat, (?:wrong sides? together|the outside out), (\\d+) stitches from side to side\\.',
    ([half], { pieces }) =>
      pieces.some(
        (piece) =>
          [2 * Number(half), 2 * Number(half) + 1, 2 * Number(half) - 1].includes(most(piece)) ||
          piece.counts.some((n) => Math.abs(n - 2 * Number(half)) <= 1),
      )
        ? undefined
        : `${half} from side to side`,
  ),
  says(
    'Fold in (\\d+) rows? at its beginning and (\\d+) rows? at its end, so that their edges meet in the middle\\.',
    ([a, b], known) => {
      const piece = first(known);
      const folded = Number(a) + Number(b);
      // what is left open between them is the gap
      piece.bounds
        .add(Number(a))
        .add(piece.rows - Number(b))
        .add(Math.abs(piece.rows - 2 * folded));
      return within('folded in', Number(a) + Number(b), 1, piece.rows);
    },
  ),
  says(
    '(?:Put the item in, close the flap and let the loop lie straight|Put the item in and lay the loop over to the front): the button’s middle comes (?:about )?(LEN) below the front’s top edge, about row (\\d+), (?:between stitches (\\d+) and (\\d+)|on stitch (\\d+))\\.',
    ([below, row, from, to, on], known) => buttonAt([below!, row!, (from ?? on)!, (to ?? on)!], known),
  ),
  says(
    '(?:Put the item in, close the flap and let the loop lie straight|Put the item in and lay the loop over to the front): (?:the loop sits in the middle of one side, the back; )?the button’s middle comes (?:about )?(LEN) below the front’s top edge(?:, (?:about stitch (\\d+), (?:on row \\d+|between rows \\d+ and \\d+)|on stitch \\d+|between stitches \\d+ and \\d+))?\\.',
    ([below]) => (mmOf(below!) > 0 ? undefined : 'no way down'),
  ),
  says('Put the item in(?:, close the flap| and)[^.]*mark[^.]*\\.'),
  says(
    '(?:With .*?, )?(?:mark the lines with pins |backstitch \\d+ lines? through all layers, (?:each )?LEN long, from the bottom up to the opening: |divide the pocket (?:behind|in front) for .*?: mark the lines with pins )between stitch (.*) of (\\d+), counted from the SIDE(?:, and backstitch from the bottom up through both layers)?\\.',
    columns,
  ),
  says(
    'Line \\d+, LEN long, along stitch (\\d+) of (\\d+) from the SIDE up to the opening, the yarn held behind both layers, the first and the last place worked twice: .*\\.',
    ([at, of]) => within('stitch', Number(at), 1, Number(of)),
  ),
  says(
    'Weave the (?:cord|tie) in and out through the (?:holes of round (\\d+)|loops)[^.]*\\.',
    ([round], { pieces }) =>
      round === undefined || pieces.some(({ holes }) => holes.has(Number(round)))
        ? undefined
        : `no holes in round ${round}`,
  ),
  says('Pull the opening fully open, then [^.]*\\.'),
  says(
    'Bring the handle over to the other side, not twisted and right sides? together, so that its last row lies on stitches (\\d+) to (\\d+) of the opening\\.',
    ([from, to], known) => {
      const handle = last(known);
      const wide = Number(to) - Number(from) + 1;
      return wide === handle.course.places.length
        ? undefined
        : `${wide} stitches for a last row of ${handle.course.places.length}`;
    },
  ),
  says(
    'Join the yarn in stitch (\\d+) of the opening, counted from where its round begins, and work along to stitch (\\d+)\\.',
  ),
  says('(?:With .*, )?(?:.*, )?(?:whip stitch|mattress stitch|sew|fold|pass|wrap|cut) .*\\.', (_, known) =>
    known.notions.includes('needle') || known.notions.includes('scissors') ? undefined : 'no needle',
  ),
  says('With .* (?:towards you|facing), (?:join (?:the yarn|COLOUR)|draw up a loop of the tail) (?:at|in) .*\\.'),
  says(
    'At each mark, about (\\d+) rows above the pocket’s opening and (\\d+) stitches in from the edge, sew a button of LEN to the front, through one layer only\\.',
    needs(/button/),
  ),
  says('(?:Its top edge lies|Their top edges lie) LEN(?: and LEN|, LEN)* below the front’s top edge\\.'),
  says('.*(?:swivel hooks?|magnets?|snaps?|zip|eyelets?|lining fabric|elastic cord|cloth).*\\.'),
  says('(?:Leave a tail of LEN to sew with\\. )?\\d+ cord stitches of two loops\\.'),
  says('Fold LEN of the top in and hem it .*\\.'),
  says('Push the LEN that are over inside at the closed end and tack them down\\.'),
  says('Sew both sides with a seam of LEN\\.'),
  says('Slip a card inside(?: the pouch)?, then sew [^.]*\\.', needs(/card/)),
  says(
    'Sew a LEN button under each tab, its middle LEN below the back’s top edge, through one layer only\\.',
    needs(/button/),
  ),
  says('Work this row in the back loop only \\(BLO\\): it folds here\\.'),
];

/** How tall rows come by the gauge at the head, where that is one alone. */
function tall(mm: number, known: Known): string | undefined {
  const piece = last(known);
  // a piece of several bands is not as high as one gauge has it
  if (piece !== first(known) || piece.told.size > 3) return undefined;
  const gauge = /(\d+(?:\.\d+)?) rows to (10 cm|4 in)/.exec(
    known.facts.get('Gauge') ?? known.facts.get('Tension') ?? '',
  );
  if (!gauge || /;/.test(known.facts.get('Gauge') ?? known.facts.get('Tension') ?? '')) return undefined;
  const each = (gauge[2] === '4 in' ? 101.6 : 100) / Number(gauge[1]);
  return within('mm', mm, 0.85 * each * piece.rows - each, 1.15 * each * piece.rows + 3 * each);
}

/** @returns what is wrong of a sentence, 'unknown' where it is of no form that is known */
export const sentenceFault = (sentence: string, known: Known): string | undefined => heldBy(FORMS, sentence, known);
