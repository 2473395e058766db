import type { Known } from './read';
import type { Sheet } from './sheet';
import { mmOf } from './words';

const FACTS = [
  'Level',
  'Finished size',
  'Fits',
  'Yarn',
  'Held together',
  'By colour',
  'Colours as they come',
  'Hook',
  'Notions',
  'Gauge',
  'Tension',
  'Multiple',
  'Time',
];

/** What stands at the head, held against what was worked. */
export function factFaults(sheet: Sheet, known: Known): string[] {
  const faults: string[] = [];
  const { facts } = sheet;
  const size = /^about (.+?)(?: \(.*?\))? × (.+?)(?: \(.*?\))?(?:;|$)/.exec(facts.get('Finished size') ?? '');
  if (!size || mmOf(size[1]!) <= 0 || mmOf(size[2]!) <= 0)
    faults.push(`finished size: ${facts.get('Finished size') ?? ''}`);
  for (const [name, text] of facts) {
    if (FACTS.includes(name)) continue;
    const fault = pieceFault(name, text, known);
    if (fault) faults.push(`${name}: ${text}: ${fault}`);
  }
  const multiple = /^a multiple of (\d+)(?:, plus (\d+))?(?:; a multiple of .*)?$/.exec(
    facts.get('Multiple') ?? 'a multiple of 1',
  );
  if (!multiple) faults.push(`multiple: ${facts.get('Multiple') ?? ''}`);
  const balls = /buy (\d+) balls?/.exec(facts.get('Yarn') ?? '');
  if (balls && Number(balls[1]) < 1) faults.push('no ball of yarn');
  const rounds = known.pieces.some((piece) => piece.rounds);
  for (const note of sheet.notes) {
    if (
      /^Worked in the round|^Worked partly|^Each round is joined|^Rounds run on|^Some rounds/.test(note) !==
        (rounds && /round/i.test(note)) &&
      /Each round|Rounds run|Worked in the round/.test(note)
    )
      faults.push(`${note}: no rounds`);
  }
  return faults;
}

/** “Chain 17, skip 1: 16 stitches, 87 rows; make 2” */
function pieceFault(name: string, text: string, { pieces }: Known): string | undefined {
  const found = /(\d+) (?:stitches|groups?[^,]*|Vs?[^,]*), (\d+) (rows|rounds)(?:; make (\d+))?$/.exec(text);
  if (!found) return undefined;
  const alike = pieces.filter((one) => one.rows === Number(found[2]));
  if (alike.length === 0) return `no piece of ${found[2]} ${found[3]}`;
  if (!/: \d+ stitches,/.test(text)) return undefined;
  if (!alike.some(({ counts }) => counts.includes(Number(found[1])))) return `no course of ${found[1]}`;
  return found[4] === undefined || pieces.some((one) => one.name.includes(`(MAKE ${found[4]})`))
    ? undefined
    : 'made how often?';
}
