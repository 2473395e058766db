import type { Layers, Work } from '../piece';
import type { WorkStep } from '../shapes';

/**
 * When a step is done: while pieces lie open, joining them, through the mouth, with the thing put in, lined, on the
 * lining, at the end, in use.
 */
const [OPEN, JOINING, THROUGH_THE_MOUTH, MARKED_FILLED, LINED, ON_LINING, TRIMMED, ENDS, IN_USE] = [
  0, 1, 2, 3, 4, 5, 6, 7, 8,
] as const;
const STAGES = [OPEN, JOINING, THROUGH_THE_MOUTH, MARKED_FILLED, LINED, ON_LINING, TRIMMED, ENDS, IN_USE];

/** Done on pieces as they lie: marked, or sewn to one layer that is out of reach once it is joined. */
const liesOpen = (work: Work): boolean => work.do === 'mark' || (work.do === 'sew' && work.open === true);

/** Joins layers, so that no needle gets between them any more, or weaves in what they close over. */
const joins = (work: Work): boolean =>
  work.do === 'fold' ||
  work.do === 'seam' ||
  work.do === 'weave-in' ||
  (work.do === 'border' && work.path.some(({ spans }) => spans.length > 1));

const through = (layers: Layers) => (work: Work) => work.do === 'sew' && work.layers === layers;

/** When a step is done follows from its work: what it must still reach, and what it closes. */
function stageOf({ kind, after, does = [] }: WorkStep): number {
  if (does.some(through('inside'))) return LINED;
  if (does.some(through('mouth'))) return ON_LINING;
  const some = (what: Work['do']) => does.some((work) => work.do === what);
  if (after !== undefined || does.some(liesOpen)) return OPEN;
  if (does.some((work) => work.do === 'weave-in' && work.pieces === 'all')) return ENDS;
  if (does.some(joins)) return JOINING;
  if (some('fill')) return some('empty') ? MARKED_FILLED : IN_USE;
  return kind === 'finish' ? TRIMMED : THROUGH_THE_MOUTH;
}

/**
 * Steps beside the rows in an order that leaves nothing sewn shut that must still be reached: by what their work needs, each
 * after those it follows, and else as they came (handbook 0). The referee judges it.
 */
export function inOrder(steps: readonly WorkStep[]): WorkStep[] {
  const stages = steps.map(stageOf);
  const waiting = STAGES.flatMap((stage) => steps.filter((_step, index) => stages[index] === stage));
  if (!steps.some(({ follows }) => follows)) return waiting;
  const done: WorkStep[] = [];
  while (waiting.length > 0) {
    const free = waiting.findIndex(({ follows = [] }) => !waiting.some(({ id }) => follows.includes(id)));
    done.push(...waiting.splice(Math.max(0, free), 1));
  }
  return done;
}
