import type { Beat, Rhythm } from '../../craft/fabric';

/** Parts between commas that stand in no brackets. */
const split = (text: string) => text.split(/, (?![^[]*\])/);

const BEAT = /^(?:(\d+) in (?:the|each of the) \w+(?: (\d+))?|(?:skip|miss) (\d+))$/;
const AGAIN = /^\[(.+)\] (?:twice|(\d+) times)$/;

function readBeat(text: string): Beat {
  const [, each, places, skipped] = BEAT.exec(text)!;
  return skipped ? { each: 0, places: Number(skipped) } : { each: Number(each), places: Number(places ?? 1) };
}

/**
 * Reads back how stitches are shared out along places.
 * @param places how many those are
 */
export function readRhythm(text: string, places: number): Rhythm {
  const [, all] = /^(\d+) in each$/.exec(text) ?? [];
  if (all) return { parts: [{ each: Number(all), places }] };
  const at = () => [...text.matchAll(/(\d+)(?:st|nd|rd|th)/g)].map(([, nth]) => Number(nth));
  const [, each, others] = /^(\d+) in each, but (?:(\d+) in|skip|miss) the /.exec(text) ?? [];
  if (each) return { each: Number(each), others: Number(others ?? 0), at: at(), places };
  const [, only] = /^(\d+) in the .*the others$/.exec(text) ?? [];
  if (only) return { each: 0, others: Number(only), at: at(), places };
  return {
    parts: split(text).map((part) => {
      const [, of, times] = AGAIN.exec(part) ?? [];
      return of ? { again: split(of).map(readBeat), times: Number(times ?? 2) } : readBeat(part);
    }),
  };
}
