import { yarnOf, type YarnSpec } from '../../craft/fabric';
import type { Notion } from '../../fittings';
import { reckon } from '../../reckon/reckon';
import { ballsFor } from '../../reckon/supplies';
import { variantPlan, yarnLabel, type BatchRecord, type BatchVariant } from './batch';
import type { Worked } from '../../reckon/types';

/** What a batch takes of one yarn. */
interface BatchYarn {
  name: string;
  metres: number;
  grams: { value: number; sd: number };
  /** Of it there is in the house, g; nothing where nobody weighed it. */
  there?: number;
  /** Whole balls that suffice nine times in ten with what there is, where a ball’s weight is known. */
  balls: number | null;
}

/** What a batch has already. */
interface BatchHas {
  /** Grams there are of a yarn, by its label. */
  there?: (yarn: string) => number | undefined;
  /** How many pieces of a variant are still to be made; all where nothing is said. */
  still?: (variant: string) => number;
}

interface BatchTotals {
  yarns: BatchYarn[];
  notions: Notion[];
  /** With its spread, minutes. */
  minutes: { value: number; sd: number };
  pieces: number;
}

/** A variant reckoned. */
export interface WorkedVariant {
  variant: BatchVariant;
  worked: Worked;
  /** What its main yarn is called. */
  yarn: string;
  hookMm: number;
}

/** All variants, reckoned. @throws PlanProblem where one of them cannot be */
export function workVariants(batch: BatchRecord): WorkedVariant[] {
  return batch.variants.map((variant) => {
    const plan = variantPlan(batch, variant);
    return { variant, worked: reckon(plan), yarn: yarnLabel(yarnOf(plan.fabric)), hookMm: plan.fabric.hookMm };
  });
}

/** These serve one piece after the other; all else stays in the piece. */
const isTool = ({ name }: Notion): boolean => /hook|needle|markers?$/.test(name);

/**
 * What to buy for all of a batch: the sums of its pieces that are still to be made, less the yarn there is. One hand makes them all, so that where it takes more yarn or time
 * than reckoned it does in every piece: spreads add up as they are (law of what is wholly shared; handbook 7).
 */
export function batchTotals(
  batch: BatchRecord,
  all: readonly WorkedVariant[] = workVariants(batch),
  { there = () => undefined, still }: BatchHas = {},
): BatchTotals {
  const yarns = new Map<string, { yarn: YarnSpec; metres: number; grams: number; sd: number }>();
  const minutes = { value: 0, sd: 0 };
  for (const { variant, worked } of all) {
    const count = still?.(variant.id) ?? variant.count;
    const { time } = worked.supplies;
    minutes.value += count * time.value;
    minutes.sd += count * (time.sd ?? 0);
    for (const { name, yarn, metres, grams, sd } of yarnsOf(batch, variant, worked)) {
      const so = yarns.get(name) ?? { yarn, metres: 0, grams: 0, sd: 0 };
      yarns.set(name, {
        yarn,
        metres: so.metres + count * metres,
        grams: so.grams + count * grams,
        sd: so.sd + count * sd,
      });
    }
  }
  return {
    yarns: [...yarns].map(([name, { yarn, metres, grams, sd }]) => {
      // what is said of the plan's yarn is not said of each of its colours
      const has = there(name) ?? (name === yarnLabel(yarn) ? yarn.gramsLeft : undefined);
      return {
        name,
        metres,
        grams: { value: grams, sd },
        ...(has === undefined ? {} : { there: has }),
        balls: yarn.ballGrams ? Math.max(0, ballsFor({ value: grams - (has ?? 0), sd }, yarn.ballGrams)) : null,
      };
    }),
    notions: notionsOfAll(all),
    minutes,
    pieces: batch.variants.reduce((sum, { count }) => sum + count, 0),
  };
}

/** Yarns of one piece: its colours where it has several, else those held together, else the one. */
function yarnsOf(batch: BatchRecord, variant: BatchVariant, { supplies }: Worked) {
  const { fabric } = variantPlan(batch, variant);
  const yarn = yarnOf(fabric);
  const { byColour, byYarn } = supplies;
  const { metres, grams } = supplies.yarn;
  const spread = (grams.sd ?? 0) / Math.max(1e-9, grams.value);
  const several = byColour.length > 0 ? byColour : byYarn;
  if (several.length === 0)
    return [{ name: yarnLabel(yarn), yarn, metres: metres.value, grams: grams.value, sd: grams.sd ?? 0 }];
  return several.map((one) => ({ ...one, yarn, sd: spread * one.grams }));
}

/** Hooks and needles once, buttons and zips for every piece. */
function notionsOfAll(all: readonly WorkedVariant[]): Notion[] {
  const summed = new Map<string, Notion>();
  for (const { variant, worked } of all)
    for (const notion of worked.supplies.notions) {
      const key = `${notion.name} ${notion.size ?? ''}`;
      const known = summed.get(key);
      const tool = isTool(notion);
      const count = tool ? notion.count : variant.count * notion.count;
      const all = tool ? Math.max(known?.count ?? 0, count) : (known?.count ?? 0) + count;
      summed.set(key, { ...notion, count: all });
    }
  return [...summed.values()];
}
