import type { Beat, Rhythm } from '../craft/fabric';
import { listed as inWords } from '../base/units';

/**
 * How stitches are shared out along places, in words that come to just as many (handbook 4.2).
 * @param skip what leaving a place out is called
 */
export function rhythmWords(rhythm: Rhythm, skip: string): string {
  if ('at' in rhythm) return exceptions(rhythm, skip);
  const { parts } = rhythm;
  const [only] = parts;
  if (parts.length === 1 && only && !('again' in only)) return `${only.each} in each`;
  return parts
    .map((part, index) => {
      if (!('again' in part)) return beatWords(part, index === 0 ? 'first' : 'last', skip);
      const said = part.again.map((beat) => beatWords(beat, 'next', skip)).join(', ');
      return part.times === 1 ? said : `[${said}] ${part.times === 2 ? 'twice' : `${part.times} times`}`;
    })
    .join(', ');
}

function beatWords({ each, places }: Beat, where: 'first' | 'next' | 'last', skip: string): string {
  if (each === 0) return `${skip} ${places}`;
  return places === 1 ? `${each} in the ${where}` : `${each} in each of the ${where} ${places}`;
}

function exceptions({ each, others, at }: Extract<Rhythm, { at: unknown }>, skip: string): string {
  const where = `the ${inWords(at.map(nth))}`;
  if (each === 0) return `${others} in ${where}, ${skip} the others`;
  return others === 0 ? `1 in each, but ${skip} ${where}` : `${each} in each, but ${others} in ${where}`;
}

/** "1st", "2nd", "11th". */
export function nth(count: number): string {
  const teen = count % 100 > 10 && count % 100 < 14;
  return `${count}${(!teen && ['th', 'st', 'nd', 'rd'][count % 10]) || 'th'}`;
}
