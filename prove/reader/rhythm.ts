import { apart } from './acts';

/** What a rhythm comes to: stitches over places. “each” alone goes over as many as there are. */
export interface Beat {
  stitches: number;
  places: number;
}

const ORDINALS = /\b\d+(?:st|nd|rd|th)\b/g;

/** @throws Error where it is not understood */
export function rhythmOf(words: string, places: number): Beat {
  const few = /^(\d+) in the (.+), skip the others$/.exec(words);
  if (few) return { stitches: Number(few[1]) * few[2]!.match(ORDINALS)!.length, places };
  const each = /^(\d+) in each(?:, but (?:(skip)|(\d+) in) the (.+))?$/.exec(words);
  if (each) {
    const others = each[4]?.match(ORDINALS)?.length ?? 0;
    const own = each[2] ? 0 : Number(each[3] ?? 0);
    return { stitches: Number(each[1]) * (places - others) + own * others, places };
  }
  return apart(words, ', ').map(beatOf).reduce(sum, { stitches: 0, places: 0 });
}

const sum = (a: Beat, b: Beat): Beat => ({ stitches: a.stitches + b.stitches, places: a.places + b.places });
const timesOf = (word: string) => ({ once: 1, twice: 2 })[word] ?? Number(word.replace(' times', ''));

function beatOf(words: string): Beat {
  const repeat = /^\[(.*)\] (once|twice|\d+ times)$/.exec(words);
  if (repeat) {
    const one = apart(repeat[1]!, ', ').map(beatOf).reduce(sum);
    const times = timesOf(repeat[2]!);
    return { stitches: one.stitches * times, places: one.places * times };
  }
  const skip = /^skip (\d+)$/.exec(words);
  if (skip) return { stitches: 0, places: Number(skip[1]) };
  const single = /^(\d+) in (?:the )?(?:first|next|last)$/.exec(words);
  if (single) return { stitches: Number(single[1]), places: 1 };
  const many = /^(\d+) in each of (?:the )?(?:first|next|last) (\d+)$/.exec(words);
  if (many) return { stitches: Number(many[1]) * Number(many[2]), places: Number(many[2]) };
  throw new Error(`not understood: ${words}`);
}
