import { lengthBetween, seeCard, snapAlong } from '../core/src/craft/photograph';
import { measuredIn } from '../core/src/craft/photograph/fixtures/measured';
import { ends, hand, pointedAt, still, taken, type Still } from './otherCamera';
import type { Proof } from './proof';

/** Pictures of known cameras. */
const PICTURES = 200;
/** At least so many are within two of the spread they say, in as many as are taken (handbook 13: 95 in 100). */
const WITHIN_TWO = 0.95;
/** So many cards are found. */
const FOUND = 0.97;
/** As far below as so few pictures may come by chance. */
const LUCK = 2;
const SD_AT_150_MM = 1;

/** Lengths in made-up pictures: known cameras, tilted, bending, with noise and shadow. */
export const photographs: Proof = {
  id: 'photographs',
  says: 'lengths from made-up pictures are within two of their spread 95 times in 100',
  run: async ({ share }) => {
    const count = Math.ceil(PICTURES * share);
    const told = Array.from({ length: count }, (_, index) => measuredIn(10_000 + index)).flatMap((one) => one ?? []);
    const within = told.filter(({ mm, sd, truth }) => Math.abs(mm - truth) <= 2 * sd).length;
    const least = WITHIN_TWO * told.length - LUCK * Math.sqrt(WITHIN_TWO * (1 - WITHIN_TWO) * told.length);
    const long = told.filter(({ truth }) => truth > 100);
    const sds = long.map(({ sd, truth }) => (sd * 150) / truth).sort((a, b) => a - b);
    const median = sds[Math.floor(sds.length / 2)]!;
    const found = FOUND * count - LUCK * Math.sqrt(FOUND * (1 - FOUND) * count);
    if (told.length < found) throw new Error(`${count - told.length} of ${count} cards were not found`);
    if (within < least) throw new Error(`${within} of ${told.length} within two of the spread`);
    if (median >= SD_AT_150_MM) throw new Error(`the middle spread is ${median.toFixed(2)} mm at 150 mm`);
    return `${within} of ${told.length} within two of the spread; the middle spread is ${median.toFixed(2)} mm at 150 mm`;
  },
};

/** So many of each, of a hundred. */
const OTHER: Readonly<Record<Still['kind'], number>> = { beside: 40, over: 30, high: 30 };
/** The checks run fewer yet: each is drawn ray by ray. */
const FEWER = 0.4;
const CARD_HAND = 3;
const END_HAND = 1.5;
const REACH = 14;

interface Read {
  kind: Still['kind'];
  /** How far off it is, in its own spread; nothing where the picture was refused. */
  off: number | undefined;
}

function readBack(kind: Still['kind'], index: number): Read {
  const scene = still(1000 * (1 + Object.keys(OTHER).indexOf(kind)) + index, kind);
  const grey = taken(scene);
  const seen = seeCard(grey, pointedAt(scene, hand(index, CARD_HAND)));
  if ('message' in seen) return { kind, off: undefined };
  const [a, b] = ends(scene, hand(index + 50, END_HAND));
  const told = lengthBetween(seen, [snapAlong(grey, a, b, REACH), snapAlong(grey, b, a, REACH)], scene.box.high);
  return { kind, off: (told.mm - scene.box.long) / told.sd };
}

/** Lengths in pictures by a camera of another make: beside the card, over it, and high above it seen from the side. */
export const otherPictures: Proof = {
  id: 'pictures',
  says: 'of pictures by another camera, lengths are within two of their spread, and what lies over the card is refused',
  run: async ({ share }) => {
    const some = share < 1 ? share * FEWER : 1;
    const read = (Object.keys(OTHER) as Still['kind'][]).flatMap((kind) =>
      Array.from({ length: Math.ceil(OTHER[kind] * some) }, (_, index) => readBack(kind, index)),
    );
    const over = read.filter(({ kind }) => kind === 'over');
    const told = read.flatMap(({ kind, off }) => (kind === 'over' || off === undefined ? [] : [Math.abs(off)]));
    const taken = over.filter(({ off }) => off !== undefined && Math.abs(off) > 2).length;
    if (taken > 0) throw new Error(`${taken} of ${over.length} with the item over the card were taken`);
    const whole = read.length - over.length;
    if (told.length < 0.95 * whole) throw new Error(`${whole - told.length} of ${whole} whole cards were refused`);
    const within = told.filter((off) => off <= 2).length;
    const worst = Math.max(...told);
    if (within < 0.9 * told.length || worst > 4)
      throw new Error(`${within} of ${told.length} within two of the spread, the worst ${worst.toFixed(1)}`);
    return `${within} of ${told.length} within two of the spread, the worst ${worst.toFixed(1)}; ${over.length} over the card refused or said so`;
  },
};
