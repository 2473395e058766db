import { measuredIn } from '../core/src/craft/photograph/fixtures/measured';
import type { Proof } from './proof';

/** Pictures of known cameras. */
const PICTURES = 200;
/** At least so many are within two of the spread they say, in as many as are taken (handbook 13: 95 in 100). */
const WITHIN_TWO = 0.95;
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
    if (told.length < 0.97 * count) throw new Error(`${count - told.length} of ${count} cards were not found`);
    if (within < least) throw new Error(`${within} of ${told.length} within two of the spread`);
    if (median >= SD_AT_150_MM) throw new Error(`the middle spread is ${median.toFixed(2)} mm at 150 mm`);
    return `${within} of ${told.length} within two of the spread; the middle spread is ${median.toFixed(2)} mm at 150 mm`;
  },
};
