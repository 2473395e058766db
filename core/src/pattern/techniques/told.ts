import { capital } from '../../base/units';
import { wordText, type Schools } from '..';
import { stepsOf, type Technique } from './definition';
import type { Told } from './types';

/** A technique in the reader's words. */
export interface ToldTechnique {
  id: string;
  name: string;
  abbreviation: string | null;
  /** Called otherwise elsewhere. */
  also: readonly string[];
  what: string;
  steps: readonly Told[];
  looks: string;
  mistake: Technique['mistake'];
  /** Other ways of the same; the reader's own habit first. */
  ways: readonly { name: string; habit: boolean; steps: readonly Told[] }[];
}

/** A technique worded for a reader: terms, unit, hand, and the reader's own habit before the others. */
export function toldTechnique(technique: Technique, schools: Schools): ToldTechnique {
  const word = (text: string) => wordText(text, schools);
  const both = ({ full, short }: Told): Told => ({ full: word(full), short: word(short) });
  const ways = (technique.ways ?? []).map(({ name, habit, steps }) => ({
    name: word(name),
    habit: habit !== undefined && Object.entries(habit).every(([key, is]) => schools[key as keyof Schools] === is),
    steps: steps.map(both),
  }));
  return {
    id: technique.id,
    name: capital(word(technique.name)),
    abbreviation: technique.abbreviation ? word(technique.abbreviation) : null,
    also: technique.also ?? [],
    what: word(technique.what),
    steps: stepsOf(technique).map(both),
    looks: word(technique.looks),
    mistake: { text: word(technique.mistake.text), repair: word(technique.mistake.repair) },
    ways: [...ways].sort((a, b) => Number(b.habit) - Number(a.habit)),
  };
}
