import type { Known } from './read';
import { countFault } from './course';
import { heldBy, mmOf, plain, says, within, type SentenceForm } from './words';

const COUNT =
  '(\\d+ (?:stitch(?:es)?|Vs?|groups? of \\d+|loops? of \\d+ chains)(?: and \\d+ (?:stitch(?:es)?|chains?))?)';

const counted = (said: string, { now }: Known) => (now ? countFault(said, now.course) : 'a count of nothing');

const FORMS: readonly SentenceForm[] = [
  says(`${COUNT}(?: \\(do not count a joining slip stitch\\))?\\.`, ([said], known) => counted(said!, known)),
  says(
    `${COUNT}, (\\d+) rows from the (?:chain|ring|edge they are worked on)(?: \\(each ridge is 2 rows\\))?\\.`,
    ([said, rows], known) =>
      counted(said!, known) ??
      (known.now!.rows === Number(rows) ? undefined : `${rows} rows at row ${known.now!.rows}`),
  ),
  says(
    `${COUNT}, (\\d+) rows since the last round(?: \\(each ridge is 2 rows\\))?\\.`,
    ([said, rows], known) =>
      counted(said!, known) ??
      (known.now!.rowsSince === Number(rows) ? undefined : `${rows} rows since, at ${known.now!.rowsSince}`),
  ),
  says(
    '(?:Laid flat, the row|Laid flat it|The base lies flat and|The base) is about (LEN) (?:wide|long)(?: \\((LEN) to (LEN) is fine\\))?\\.',
    ([wide, low, high]) => (low === undefined ? undefined : within('mm', mmOf(wide!), mmOf(low), mmOf(high!))),
  ),
  says('Before you cut: is the tail at least (LEN) long\\?', ([length], { asked }) => {
    asked.add(length!);
    return undefined;
  }),
  says('As many stitches as in round (\\d+)\\?', ([round], { pieces }) =>
    pieces.some(({ rows }) => rows >= Number(round)) ? undefined : `there is no round ${round}`,
  ),
  ...plain(
    '(?:The item|What belongs in it) goes in\\.',
    'The handle is not twisted, and the same number of stitches is free on both sides\\.',
    'Slip the item in: does the front cover it, and do the (?:rows|ridges) of both layers (?:lie side by side|run straight up)\\?',
    'Stand the item in it: does the last round come where you want it\\?',
    'Before you cut the tie: round the filled piece, does it leave a bow\\?',
    'Not twisted, and LEN long before it is loaded\\?',
    'Does it measure LEN before it is loaded\\?',
    // what only eyes can judge
    'Does every stitch go through all \\d+ layers\\?',
    'Buttoned, does it stay where it hangs when one pocket is emptied\\?',
    '(?:All|As many|Both|Buttoned|Do|Does|Equal|Has|Is|No|Over|Right|Rows|Filled|Straight) [^.0-9]*\\?',
    'Hang the load on it for a minute and measure again\\.',
    // what to do where it is not so
    '(?:If|Pull|Unpick|Fold|Move|Set|Undo|Use|Work|Lay|Make|Add|Pin|Sew|Then|Take|Let|Lengthen|Where|What|A line|Go) [^.0-9]*\\.',
    'Pull out (?:that row|the rows down to the mistake)[^.]*\\.',
    'It should stand LEN above the opening at its middle\\.',
    'Pull it out[^.]*\\.',
  ),
];

export const lookFault = (sentence: string, known: Known): string | undefined => {
  if (sentence === '') return undefined;
  const fault = heldBy(FORMS, sentence, known);
  return fault === 'unknown' ? `not understood: ${sentence}` : fault;
};
