import {
  conditionCosts,
  multipleOf,
  nearestCounts,
  refuseBeyond,
  type CountAsk,
  type CountOption,
  type CountCondition,
} from '../../craft/counts';
import type { Multiple } from '../../craft/fabric';
import { attempted, derive, PlanProblem, type Advice, type Figure } from '../../base/figure';
import { depthVerdict, verdict, type Verdict } from '../../craft/fit';
import { mmToken } from '../../base/units';
import type { Choice, ChoiceOption, ShapeContext } from '../definition';

interface ChoiceWish {
  id: string;
  name: string;
  noun: string;
  /** The wanted size. */
  asked: Figure<'mm'>;
  /** That size for a count, mm. */
  sizeOf: (count: number) => number;
  /** The inside girth for a count, mm, or what else is held against the thing. */
  insideOf: (count: number) => number;
  multiple: Multiple;
  /** What the shape cannot be made without; a picked count is held to it. */
  conditions?: readonly CountCondition[];
  /** What it wants besides, which a picked count may break. */
  wishes?: readonly CountCondition[];
  /** Multiples it had better be of, the dearest first, where that costs half a count more of size at most. */
  prefers?: readonly number[];
  atLeast: number;
  /** Stretch that lets the thing in, as a fraction. */
  stretch: number;
  /** The thing's height, mm, where it is the depth inside that the count decides, not the girth. */
  against?: number;
  /** Whether each of several things has a room of its own: what is over is theirs, and none falls out. */
  parted?: boolean;
}

/**
 * A choice of count: best, the next one less, the next one more, each with what it measures and does to the ease
 * (handbook 4). A count the maker picked is marked, and listed with its own neighbours, so that the choice goes on from it.
 */
export function countChoice(wish: ChoiceWish, { fit, thing, picks, demands }: ShapeContext): Choice {
  const wishes = [...(wish.wishes ?? []), ...(demands.conditions ?? [])];
  const conditions = [multipleOf(wish.multiple), ...(wish.conditions ?? []), ...wishes];
  const ask: CountAsk = {
    askedMm: wish.asked.value,
    sizeOf: wish.sizeOf,
    conditions,
    hurts: fit.definition.hurts,
    atLeast: wish.atLeast,
    path: 'fabric.stitch',
  };
  const counts = preferred(ask, wish.prefers ?? []);
  const best = counts.find((option) => option.best)!;
  const unit = wish.noun === 'stitches' ? 'stitches' : 'courses';
  refuseBeyond(best.count, unit, 'thing');
  const picked = picks[wish.id] ?? best.count;
  refuseBeyond(picked, unit, `picks.${wish.id}`);
  refuseBroken(picked, wish, ask);
  const broken = wishes.filter(({ allows }) => !allows(picked)).map(({ text }) => text);
  if (!counts.some((option) => option.count === picked))
    counts.push({ count: picked, mm: wish.sizeOf(picked), best: false });
  for (const option of picked === best.count ? [] : nearestCounts({ ...ask, askedMm: wish.sizeOf(picked) }))
    if (!counts.some(({ count }) => count === option.count)) counts.push({ ...option, best: false });
  counts.sort((a, b) => a.count - b.count);

  const girth = wish.against ?? thing.girth.value;
  const parted = wish.parted ?? demands.face !== undefined;
  const judged = (found: Verdict): Verdict => (parted && found === 'loose' ? 'fits' : found);
  const options = counts.map((option): ChoiceOption => {
    const inside = wish.insideOf(option.count);
    return {
      ...option,
      easeMm: inside - girth,
      easeShare: (inside - girth) / girth,
      verdict:
        wish.against === undefined
          ? judged(verdict(inside, girth, wish.stretch, fit.definition))
          : depthVerdict(inside, wish.against, fit.coverEase.value),
      chosen: option.count === picked,
    };
  });
  return {
    id: wish.id,
    name: wish.name,
    noun: wish.noun,
    askedMm: wish.asked.value,
    asked: wish.asked,
    options,
    ...(broken.length > 0 ? { broken } : {}),
    costs:
      conditions.length > 1
        ? conditionCosts(ask).map(({ condition: { text }, mm, without }) => ({ text, mm, without }))
        : [],
  };
}

/** The nearest counts, or those about a multiple that costs at most half a count more of size than the nearest (handbook 4.1). */
function preferred(ask: CountAsk, multiples: readonly number[]): CountOption[] {
  const counts = nearestCounts(ask);
  const near = counts.find(({ best }) => best)!;
  const off = (count: number) => Math.abs(ask.sizeOf(count) - ask.askedMm);
  const most = off(near.count) + (ask.sizeOf(near.count + 1) - ask.sizeOf(near.count)) / 2;
  for (const repeat of multiples) {
    const conditions = [...ask.conditions, multipleOf({ repeat, edge: 0 })];
    const count = attempted(() => nearestCounts({ ...ask, conditions }).find(({ best }) => best)!.count);
    if (count === undefined || off(count) > most + 1e-9) continue;
    return count === near.count ? counts : nearestCounts({ ...ask, askedMm: ask.sizeOf(count) });
  }
  return counts;
}

/**
 * Refuses a picked count that the shape cannot be made of: what is written would be another one (handbook 4).
 * @throws PlanProblem naming the count, what it must be, and the nearest two that are
 */
function refuseBroken(picked: number, { id, noun, conditions = [] }: ChoiceWish, ask: CountAsk): void {
  const broken = conditions.filter(({ allows }) => !allows(picked));
  if (broken.length === 0) return;
  const near = nearestCounts({ ...ask, askedMm: ask.sizeOf(picked) }).map(({ count }) => count);
  const two = [
    Math.max(...near.filter((count) => count < picked)),
    Math.min(...near.filter((count) => count > picked)),
  ];
  const taken = two.filter(Number.isFinite).join(' or ');
  throw new PlanProblem([
    {
      path: `picks.${id}`,
      message: `${picked} ${noun} cannot be made: the count must be ${broken.map(({ text }) => text).join(', and ')}. Choose ${taken}.`,
    },
  ]);
}

/**
 * The width of a piece of two faces, in stitches, by the size of one face: inside, all pockets' turns of fabric are taken
 * off both (law, handbook 3).
 *
 * @param faceOf one face between its seams for a count, mm
 */
export function faceChoice(asked: Figure<'mm'>, faceOf: (count: number) => number, context: ShapeContext): Choice {
  const { fabric, thing } = context;
  return countChoice(
    {
      id: 'width',
      name: 'Width',
      noun: 'stitches',
      asked,
      sizeOf: faceOf,
      insideOf: (count) => 2 * faceOf(count) - thing.pockets * Math.PI * fabric.thickness.value,
      multiple: fabric.stitch.rows,
      atLeast: 3,
      stretch: fabric.stitch.factors.stretchAcross,
    },
    context,
  );
}

/** The count in force. */
export function chosenCount(choice: Choice): number {
  return choice.options.find((option) => option.chosen)!.count;
}

/** The count in force as a figure: how it came about, or that it was picked. */
export function countFigure<U extends 'stitches' | 'rows'>(
  choice: Choice,
  size: Figure<'mm'>,
  letters: { asked: string; size: string; count: string },
  unit: U,
  picks: Record<string, number>,
): Figure<U> {
  const { asked, size: s, count } = letters;
  const formula =
    picks[choice.id] === undefined
      ? `${count} = ${asked} / ${s}, the nearest that the stitch allows`
      : `picked by hand; ${asked} / ${s} asks for`;
  return derive(unit, formula, { [asked]: choice.asked, [s]: size }, () => chosenCount(choice));
}

/** Doubts a picked count that does not fit where the best one is another; or one that breaks the stitch's multiple. */
export function pickAdvice(choice: Choice, { repeat, edge }: Multiple): Advice[] {
  const picked = choice.options.find((option) => option.chosen)!;
  const best = choice.options.find((option) => option.best)!;
  const back = { change: { [`picks.${choice.id}`]: best.count } };
  const at = `picks.${choice.id}`;
  if ((picked.count - edge) % repeat !== 0)
    return [
      {
        id: 'picked-count-breaks-multiple',
        severity: 'warning',
        text: `${picked.count} ${choice.noun} do not fit the stitch pattern (multiple of ${repeat}${edge > 0 ? `, plus ${edge}` : ''}).`,
        repair: `Use ${best.count} ${choice.noun} (${mmToken(best.mm)}).`,
        at,
        ...back,
      },
    ];
  if (choice.broken)
    return [
      {
        id: 'picked-count-breaks-wish',
        severity: 'warning',
        text: `${picked.count} ${choice.noun} are not ${choice.broken.join(', nor ')}, which the plan asks for.`,
        repair: `Use ${best.count} ${choice.noun} (${mmToken(best.mm)}).`,
        at,
        ...back,
      },
    ];
  if (picked.verdict === 'fits' || picked.best) return [];
  return [
    {
      id: 'picked-count-misfits',
      severity: 'warning',
      text: `${picked.count} ${choice.noun} measure ${mmToken(picked.mm)}, which is ${picked.verdict === 'tight' ? 'too tight to go in' : 'so loose that it falls out'}.`,
      repair: `Use ${best.count} ${choice.noun} (${mmToken(best.mm)}).`,
      at,
      ...back,
    },
  ];
}
