import { begunCourses, type BegunSpec } from '../../plan/begun';
import { applyChange } from '../../plan/change';
import { singleWidth, yarnDiameter, yarnOf, type BandSpec, mayBeProposed } from '../../craft/fabric';
import { FITS } from '../../craft/fit';
import type { Plan } from '../../plan/plan';
import { shapeDefinition } from '../../shapes';
import { joinOf } from '../../shapes/common/joins';
import { formatNumber, plural, withArticle } from '../../base/units';
import { countsKept } from './pinned';
import { reckonedOrNot } from './reckoned';
import type { Worked } from '../../reckon/types';
import { fittingDefinition } from '../../fittings';
import { otherEdgings, type EdgingWay } from '../../shapes/common/edgingField';

/** A way to go on from here: a plan to follow, in words. */
export interface Candidate {
  id: string;
  title: string;
  /** What speaks for it and against it. */
  why: string;
  plan: Plan;
  shows: 'no' | 'inside' | 'outside';
  /** What comes after pulling out, where it is not the count that fits. */
  with?: string;
  /** Only where nothing is pulled out for it, and where it gains; of several of one kind the best. */
  aside?: 'border' | 'join' | 'fit' | 'hook' | 'change';
}

/** What the ways to go on are drawn up from. */
export interface Situation {
  /** The plan followed so far, reckoned. */
  followed: Plan;
  worked: Worked;
  /** The same plan with what the tape said. */
  measured: Plan;
  /** What is worked, as a plan carries it. */
  begun: readonly BegunSpec[];
  /** How much wider than planned the stitches are, as a factor. */
  wider: number;
}

/** A way of finding ways to go on. */
export type Finder = (situation: Situation) => Candidate[];

const kept = ({ measured, worked, begun }: Situation): Plan => ({
  ...measured,
  begun,
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

/** Folds that move while the rows stay as many as they were: a pocket deeper by what the flap is shorter. */
const foldElsewhere: Finder = (situation) => {
  const { worked, measured } = situation;
  const at = measured.fittings?.findIndex(({ kind }) => kind === 'flap') ?? -1;
  const [piece] = worked.pieces;
  const next = reckonedOrNot(kept(situation))?.out.built.pieces[0];
  const flap = next?.sections.find(({ name }) => name === 'flap');
  const more = next ? next.rows - piece!.rows : 0;
  if (at < 0 || !next || !flap || more <= 0 || more >= flap.rows) return [];
  const later = next.sections[0]!.rows - piece!.sections[0]!.rows;
  const overlapMm = Math.floor((flap.rows - more) * next.fabric.rowHeight.value);
  if (later <= 0 || overlapMm < 1) return [];
  return [
    {
      id: 'fold-elsewhere',
      title: `Fold ${plural(later, 'row')} later, and let the flap be ${plural(more, 'row')} shorter`,
      why: 'There are as many rows as you planned. Only the folds move.',
      plan: applyChange(kept(situation), { [`fittings[${at}].overlapMm`]: overlapMm }),
      shows: 'no',
    },
  ];
};

/** The plan as it is now; what is worked stays as far as both are alike. */
const asChanged: Finder = ({ measured }) => [
  {
    id: 'as-changed',
    title: 'Use the new plan',
    why: 'Everything is as you changed it.',
    with: 'the new plan',
    plan: withoutBegun(measured),
    shows: 'no',
  },
];

/** Begun anew, or taken back to where both ways part, with the count that fits best now. */
const otherCount: Finder = ({ measured }) => [
  {
    id: 'other-count',
    title: 'Pull out and use the count that fits',
    why: 'It comes out as if you had known your {gauge} from the start.',
    plan: withoutBegun({ ...measured, picks: {} }),
    shows: 'no',
  },
];

/** The plan as though nothing were worked of it. */
export const withoutBegun = ({ begun: _, ...plan }: Plan): Plan => plan;

/**
 * Whether what is still to come of the first piece can hold what goes in, as tight as it may turn out: of the face or wall
 * that goes round the thing no more than half is worked. Of a strip worked sideways no row goes round.
 */
function roundIsToCome({ begun, worked, measured }: Situation): boolean {
  const [piece] = worked.pieces;
  const spec = begun.find((one) => one.piece === piece!.id);
  if (!spec || shapeDefinition(measured.shape.kind)!.around === 'rows') return false;
  const next = begunCourses(spec) + 1;
  const at = piece!.sections.findIndex(({ from, to }) => next >= from && next <= to);
  const section = piece!.sections[at];
  if (!section || (piece!.worked === 'rows' && at > 0)) return false;
  return next - section.from <= section.rows / 2;
}

/** So many stitches more or fewer is a change of shape, not a mend, as a share of what is there. */
const MOST_CHANGE = 0.2;

/** The count that fits from the next course on; what is worked stays on its own. */
const changedCount: Finder = (situation) => {
  const { begun, worked, measured } = situation;
  if (!roundIsToCome(situation)) return [];
  const [piece] = worked.pieces;
  const run = begun.find((spec) => spec.piece === piece!.id)?.runs.at(-1);
  const fits = bestCount(withoutBegun({ ...measured, picks: {} }));
  const now = run?.stitches;
  if (!fits || now === undefined || fits.count === now || Math.abs(fits.count - now) > MOST_CHANGE * now) return [];
  const by = plural(Math.abs(fits.count - now), 'stitch', 'stitches');
  const more = fits.count > now;
  const [where, how] = piece!.worked === 'rounds' ? ['round', 'evenly'] : ['row', 'at the edges'];
  return [
    {
      id: 'change-count',
      title: `In the next ${where}, ${more ? 'increase' : 'decrease'} ${by} ${how}`,
      why: `What is worked stays on ${now}; from there on it is ${fits.count}. The sides slant a little at that place.`,
      plan: { ...kept(situation), picks: { ...kept(situation).picks, [fits.choice]: fits.count } },
      shows: 'outside',
      aside: 'change',
    },
  ];
};

/** The count of stitches that fits best, and the choice it is taken by. */
function bestCount(plan: Plan): { choice: string; count: number } | undefined {
  const found = reckonedOrNot(plan)?.out.built.choices.find(({ noun }) => noun === 'stitches');
  const option = found?.options.find(({ chosen }) => chosen);
  return found && option ? { choice: found.id, count: option.count } : undefined;
}

/** Hooks are sold in such steps, mm; farther off the fabric is another. */
const HOOK_STEPS = [-1.5, -1, -0.5, 0.5, 1, 1.5];

/** Another hook from the next course on, nearest to the stitch that was planned. */
const otherHook: Finder = (situation) => {
  const { measured, worked, begun, wider } = situation;
  const { fabric, shape } = measured;
  const [piece] = worked.pieces;
  const spec = begun.find((one) => one.piece === piece!.id);
  if (
    !spec ||
    !roundIsToCome(situation) ||
    !shapeDefinition(shape.kind)!.bands ||
    fabric.bands ||
    fabric.colours?.length
  )
    return [];
  const yarn = yarnDiameter(yarnOf(fabric)).value;
  const ratio = (step: number) => singleWidth(fabric.hookMm + step, yarn) / singleWidth(fabric.hookMm, yarn);
  const off = (step: number) => Math.abs(Math.log(ratio(step) * wider));
  const [step] = HOOK_STEPS.filter((one) => mayBeProposed(fabric.hookMm + one)).sort((a, b) => off(a) - off(b));
  if (step === undefined || off(step) >= Math.abs(Math.log(wider))) return [];
  const hookMm = fabric.hookMm + step;
  const by = `${formatNumber(Math.abs(100 * (ratio(step) - 1)), 0)} %`;
  const plan = inTwoBands(kept(situation), begunCourses(spec), { hookMm });
  if (!plan) return [];
  return [
    {
      id: 'other-hook',
      title: `Change to ${withArticle(`${formatNumber(hookMm, 2)} mm hook`)} from here`,
      why: `Its stitches come about ${by} ${step > 0 ? 'wider' : 'narrower'}. The change can be seen.`,
      plan,
      shows: 'outside',
      aside: 'hook',
    },
  ];
};

/**
 * The plan with its first piece in two bands, the first so many courses as they are and the rest otherwise; nothing where its
 * shape lays bands out otherwise.
 */
function inTwoBands(plan: Plan, done: number, second: Pick<BandSpec, 'hookMm' | 'colour'>): Plan | undefined {
  const { stitch, pattern } = plan.fabric;
  const alike = { stitch, ...(pattern ? { pattern } : {}) };
  const split = (courses: number, fromTop: boolean): Plan => {
    const bands: BandSpec[] = [
      { ...alike, courses },
      { ...alike, fill: true, ...second },
    ];
    return { ...plan, fabric: { ...plan.fabric, bands: fromTop ? bands.reverse() : bands } };
  };
  for (const fromTop of [false, true]) {
    // bands may begin above a base: where the second lies tells how far
    const trial = reckonedOrNot(withoutBegun(split(1, fromTop)))?.out.built.pieces[0];
    const upper = trial?.bands?.find((band) => band.hookMm === second.hookMm && band.colour === second.colour);
    if (upper?.to !== trial?.rows || !upper) continue;
    const courses = done - (upper.from - 2);
    return courses >= 1 ? split(courses, fromTop) : undefined;
  }
  return undefined;
}

/** A round of border more, or one less. */
const otherBorder: Finder = (situation) => {
  const { shape } = situation.measured;
  const edging = otherEdgings(shapeDefinition(shape.kind)!.options, shape.edging, [1, -1, 2], shape.edgingOf);
  if (!edging) return [];
  const { now, others, change } = edging.ways;
  return others.map((way) => ({
    ...borderTold(now, way),
    plan: applyChange(kept(situation), change(way)),
    shows: 'outside' as const,
    aside: 'border' as const,
  }));
};

/** What another edging is called, against the one that was planned. */
function borderTold(now: EdgingWay, { rounds, last }: EdgingWay): Pick<Candidate, 'id' | 'title' | 'why'> {
  const by = Math.abs(rounds - now.rounds);
  const finest = last === now.last ? '' : last === 'slip' ? ', the last of slip stitches' : ', all of {single}';
  const id = last === now.last ? '' : `-${last}`;
  if (by === 0)
    return {
      id: `border-last${id}`,
      title: `Work the last round of border in ${last === 'slip' ? 'slip stitches' : '{single}'}`,
      why: `As many rounds of edging, the last ${last === 'slip' ? 'lower' : 'higher'}: a finer step than a round.`,
    };
  const more = rounds > now.rounds;
  return {
    id: `border-${more ? 'more' : 'less'}${by > 1 ? `-${by}` : ''}${id}`,
    title: `Work ${by > 1 ? `${by} rounds` : 'a round'} of border ${more ? 'more' : 'less'}${finest}`,
    why: `${plural(rounds, 'round')} of edging in place of ${now.rounds}${finest}: it makes the piece ${more ? 'larger' : 'smaller'} on every side.`,
  };
}

/**
 * Of a piece worked outwards in rounds that are high: those still to come, with so many of edging about them that they come nearest.
 */
const otherRounds: Finder = (situation) => {
  const { measured, worked } = situation;
  const choice = worked.choices.find(({ noun }) => noun === 'rounds');
  const { options } = shapeDefinition(measured.shape.kind)!;
  const edging = otherEdgings(options, measured.shape.edging, EVERY_EDGING, measured.shape.edgingOf)?.ways;
  if (!choice || !edging) return [];
  const { [choice.id]: _held, ...picks } = kept(situation).picks!;
  const now = choice.options.find(({ chosen }) => chosen)!.count;
  return [edging.now, ...edging.others].flatMap((way): Candidate[] => {
    const { rounds, last } = way;
    const plan = applyChange({ ...kept(situation), picks }, edging.change(way));
    const groups = bestOf(plan, choice.id);
    if (groups === undefined || groups === now) return [];
    const slip = last === 'slip' ? ', the last of slip stitches,' : '';
    const around = rounds > 0 ? ` and ${plural(rounds, 'round')} of edging${slip}` : '';
    return [
      {
        id: `rounds-${rounds}${last === 'slip' ? '-slip' : ''}`,
        title: `Work ${plural(groups, 'round')}${around} in place of ${now}`,
        why: 'What is worked stays. Each piece gets as many.',
        plan: { ...plan, picks: { ...picks, [choice.id]: groups } },
        shows: 'outside',
        aside: 'border',
      },
    ];
  });
};

/** From the least edging to the most, as steps from any. */
const EVERY_EDGING = [-4, -3, -2, -1, 1, 2, 3, 4];

/** What a choice comes to where nothing is picked. */
const bestOf = (plan: Plan, id: string): number | undefined =>
  reckonedOrNot(plan)
    ?.out.built.choices.find((choice) => choice.id === id)
    ?.options.find(({ chosen }) => chosen)?.count;

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

/** A closure allows a looser fit: the count stays, and what is wanted changes. */
const otherFit: Finder = (situation) => {
  const { fit, fittings = [] } = situation.measured;
  if (!fittings.some(({ kind }) => fittingDefinition(kind)!.holdsIn)) return [];
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

/** Ways on where the plan itself was changed. */
export const CHANGED_FINDERS: readonly Finder[] = [asChanged, rowsToCome];

/**
 * On in a second yarn from the last good place before it runs out: where a part begins, which looks meant, else the next row
 * (handbook 8, weighing).
 */
const secondYarn =
  ({ runsOut, lasts }: Short): Finder =>
  (situation) => {
    const { measured, worked, begun } = situation;
    const { fabric, shape } = measured;
    const [piece] = worked.pieces;
    const spec = begun.find((one) => one.piece === piece!.id);
    const done = spec ? begunCourses(spec) : 0;
    const { bands, around } = shapeDefinition(shape.kind)!;
    if (!bands || fabric.bands || fabric.colours?.length || runsOut?.piece !== piece!.id) return [];
    // sections of a strip along lie beside each other in every row
    const parts = around === 'rows' ? [] : piece!.sections;
    const places = parts.filter(({ from, name }) => from > Math.max(1, done) && from <= runsOut.row && name !== 'turn');
    const options = [...places.reverse(), undefined].flatMap((section) => {
      const from = section?.from ?? done + 1;
      const plan = from > 1 ? inTwoBands(kept(situation), from - 1, { colour: SECOND_YARN }) : undefined;
      return plan ? [{ section, plan }] : [];
    });
    // what is sewn and edged takes of the first yarn too
    const found = options.find(({ plan }) => lasts(plan)) ?? options.at(-1);
    if (!found) return [];
    const { section, plan } = found;
    const word = piece!.worked === 'rounds' ? 'round' : 'row';
    return [
      {
        id: 'second-yarn',
        title: section
          ? `Start the ${section.name} in a second yarn`
          : `Continue in a second yarn from the next ${word}`,
        why: section
          ? 'Where a part begins the change looks meant. Take a yarn as thick as the first.'
          : 'No part begins before it runs out. Take a yarn as thick as the first.',
        plan,
        shows: 'outside',
      },
    ];
  };

/** Where a yarn runs out, by how many rows of the first piece it is short, and whether it lasts by another plan. */
export interface Short {
  runsOut: { piece: string; row: number } | null;
  rowsShort: number;
  lasts: (plan: Plan) => boolean;
}

const SECOND_YARN = 'second yarn';

/** A flap some rows shorter saves the yarn of those rows. */
const shorterFlap =
  (rows: number): Finder =>
  (situation) => {
    const { measured, worked } = situation;
    const at = measured.fittings?.findIndex(({ kind }) => kind === 'flap') ?? -1;
    const flap = worked.pieces[0]!.sections.find(({ name }) => name === 'flap');
    if (at < 0 || !flap || rows >= flap.rows) return [];
    const overlapMm = Math.floor((flap.rows - rows) * worked.fabric.rowHeight.value);
    if (overlapMm < 1) return [];
    return [
      {
        id: 'shorter-flap',
        title: `Work the flap ${plural(rows, 'row')} shorter`,
        why: 'It saves the yarn of those rows, and comes down less far.',
        plan: applyChange(kept(situation), { [`fittings[${at}].overlapMm`]: overlapMm }),
        shows: 'outside',
      },
    ];
  };

/** Ways on where the yarn does not last. */
export const lastingFinders = (short: Short): readonly Finder[] => [secondYarn(short), shorterFlap(short.rowsShort)];

/** All ways of finding ways, the cheapest first (handbook 8). */
export const FINDERS: readonly Finder[] = [
  rowsToCome,
  foldElsewhere,
  changedCount,
  otherHook,
  otherCount,
  otherBorder,
  otherRounds,
  otherJoin,
  otherFit,
];
