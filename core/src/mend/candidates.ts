import { applyChange } from '../change';
import { FITS } from '../fit';
import type { Plan } from '../plan';
import type { Worked } from '../reckon';
import { shapeDefinition } from '../shapes';
import { joinOf } from '../shapes/common/joins';
import { plural } from '../units';

/** A way to go on from here: a plan to follow, in words. */
export interface Candidate {
  id: string;
  title: string;
  /** What speaks for it and against it. */
  why: string;
  plan: Plan;
  shows: 'no' | 'inside' | 'outside';
  /** Only where nothing is pulled out for it, and where it gains; of several of one kind the best. */
  aside?: 'border' | 'join' | 'fit';
}

/** What the ways to go on are drawn up from. */
export interface Situation {
  /** The plan followed so far, reckoned. */
  followed: Plan;
  worked: Worked;
  /** The same plan with what the tape said. */
  measured: Plan;
}

/** A way of finding ways to go on. */
type Finder = (situation: Situation) => Candidate[];

/** Counts of stitches as they are on the hook: they stay, whatever the gauge. */
function countsKept({ choices }: Worked): Record<string, number> {
  return Object.fromEntries(
    choices
      .filter(({ noun }) => noun === 'stitches')
      .map(({ id, options }) => [id, options.find(({ chosen }) => chosen)!.count]),
  );
}

const kept = ({ measured, worked }: Situation): Plan => ({
  ...measured,
  picks: { ...measured.picks, ...countsKept(worked) },
});

const rowsToCome: Finder = (situation) => [
  {
    id: 'rows-to-come',
    title: 'Keep the count, and let the rows still to come make up for it',
    why: 'Nothing is pulled out. Only the number of rows, and where it folds, changes.',
    plan: kept(situation),
    shows: 'no',
  },
];

/** Begun anew, or taken back to where both ways part, with the count that fits best now. */
const otherCount: Finder = ({ measured }) => [
  {
    id: 'other-count',
    title: 'Pull out and use the count that fits',
    why: 'It comes out as if you had known your gauge from the start.',
    plan: { ...measured, picks: {} },
    shows: 'no',
  },
];

/** A round of border more, or one less. */
const otherBorder: Finder = (situation) => {
  const { shape } = situation.measured;
  const field = shapeDefinition(shape.kind)!.options.find(({ key }) => key === 'edging');
  if (field?.kind !== 'number') return [];
  const now = Number(shape.edging ?? field.default);
  return [now + 1, now - 1]
    .filter((rounds) => rounds >= (field.min ?? 0) && rounds <= (field.max ?? 0))
    .map((rounds) => ({
      id: rounds > now ? 'border-more' : 'border-less',
      title: rounds > now ? 'Work a round of border more' : 'Work a round of border less',
      why: `${plural(rounds, 'round')} of edging in place of ${now}: it makes the piece ${rounds > now ? 'larger' : 'smaller'} on every side.`,
      plan: applyChange(kept(situation), { 'shape.edging': rounds }),
      shows: 'outside' as const,
      aside: 'border' as const,
    }));
};

/** Another join, which takes more or less of each side. */
const otherJoin: Finder = (situation) => {
  const { shape } = situation.measured;
  const field = shapeDefinition(shape.kind)!.options.find(({ key }) => key === 'join');
  if (field?.kind !== 'choice') return [];
  const now = shape.join ?? field.default;
  const { take } = joinOf(now);
  // of those that take as much the first will do
  const others = field.options.filter(({ id }) => joinOf(id).take !== take);
  return others
    .filter(({ id }, index) => others.findIndex((one) => joinOf(one.id).take === joinOf(id).take) === index)
    .map(({ id, name }) => ({
      id: `join-${id}`,
      title: `Join it another way: ${name}`,
      why: 'Joins differ in what they take of each side.',
      plan: applyChange(kept(situation), { 'shape.join': id }),
      shows: 'outside' as const,
      aside: 'join' as const,
    }));
};

/** What holds a thing in though it has room. */
const HOLDS_IN: ReadonlySet<string> = new Set(['flap', 'drawstring', 'button-loop', 'zip', 'snap']);

/** A closure allows a looser fit: the count stays, and what is wanted changes. */
const otherFit: Finder = (situation) => {
  const { fit, fittings = [] } = situation.measured;
  if (!fittings.some(({ kind }) => HOLDS_IN.has(kind))) return [];
  // the next looser one: farther off it would be another pouch
  const at = FITS.findIndex(({ id }) => id === fit.name) + 1;
  return FITS.slice(at, at + 1).map(({ id, name }) => ({
    id: `fit-${id}`,
    title: `Let it be looser: “${name}”`,
    why: 'What closes it holds the item in; only what is asked of the fit changes.',
    plan: applyChange(kept(situation), { 'fit.name': id, 'fit.easeMm': undefined, 'fit.easePercent': undefined }),
    shows: 'no' as const,
    aside: 'fit' as const,
  }));
};

/** All ways of finding ways, the cheapest first (handbook 8). */
export const FINDERS: readonly Finder[] = [rowsToCome, otherCount, otherBorder, otherJoin, otherFit];
