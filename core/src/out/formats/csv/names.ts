import { STITCHES } from '../../../craft/fabric';
import { METHODS, THINGS } from '../../../craft/things';

/** Ids by the words people write for them, in lower case. */
type Names = ReadonlyMap<string, string>;

function namesOf(all: readonly (readonly [word: string, id: string])[]): Names {
  const names = new Map<string, string>();
  // what is said first stands: a word that means two things means the first of them
  for (const [word, id] of all) if (!names.has(word.toLowerCase().trim())) names.set(word.toLowerCase().trim(), id);
  return names;
}

/** Kinds of things by id, by the name on screen, and by what is said to be of them: phone, bottle. */
const KINDS = namesOf([
  ...THINGS.map(({ id }) => [id, id] as const),
  ...THINGS.map(({ id, name }) => [name, id] as const),
  ...THINGS.flatMap(({ id, examples }) => examples.split(/[,;]/).map((word) => [word, id] as const)),
]);

const WAYS = namesOf(METHODS.flatMap(({ id, name }) => [[id, id] as const, [name, id] as const]));

const STITCHED = namesOf([
  ...STITCHES.map(({ id }) => [id, id] as const),
  ...STITCHES.map(({ id, name }) => [name.US, id] as const),
]);

/** The words for what stands at a place of a document; none where only its own values do. */
export function namesAt(template: string): Names | undefined {
  if (/(^|\.)thing\.(.*\.)?kind$|members#\.kind$/.test(template)) return KINDS;
  if (/(^|\.)by$/.test(template)) return WAYS;
  return /(^|\.)stitch$/.test(template) ? STITCHED : undefined;
}

/** What may be written at a place, for choosing: each id with its name on screen. */
export const kindChoices = (): { id: string; name: string }[] => THINGS.map(({ id, name }) => ({ id, name }));
