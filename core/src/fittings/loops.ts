import { plural } from '../base/units';
import { borderAlong, rawOf, type Border, type Span, type Stretch, type Work } from '../piece';
import type { Built, WorkStep } from '../shapes';
import type { Placed } from './definition';

/**
 * Loops at the middle of an edge sit in the last border worked on it, where there is one: a border worked later would hide
 * a loop of the row below (handbook 6).
 */
export function loopsOnBorders<P extends Placed>(built: Built, placed: P[]): { built: Built; placed: P[] } {
  return placed.reduce((so, { loop }, index) => (loop ? withLoop(so, loop, index) : so), { built, placed });
}

function withLoop<P extends Placed>(
  so: { built: Built; placed: P[] },
  loop: NonNullable<Placed['loop']>,
  index: number,
): { built: Built; placed: P[] } {
  const lists = [so.built.assembly, ...so.placed.map(({ steps }) => steps)];
  const at = lists.map((steps) => bordersOnAll(steps, loop).length > 0).lastIndexOf(true);
  if (at < 0) return so;
  const last = bordersOnAll(lists[at]!, loop).at(-1)!;
  const put = (steps: WorkStep[]) => steps.map((step) => replaced(step, last, withLoopOn(last, loop)));
  const bare = so.placed.map((one, place) =>
    // the loop is no more in the row, nor joined on by itself
    place === index ? { ...one, rows: [], steps: one.steps.filter(({ id }) => id !== loop.step) } : one,
  );
  return {
    built: at === 0 ? { ...so.built, assembly: put(so.built.assembly) } : so.built,
    placed: bare.map((one, place) => (place === at - 1 ? { ...one, steps: put(one.steps) } : one)),
  };
}

function isOn({ spans: [span], corner }: Stretch, { piece, edge, corner: top }: NonNullable<Placed['loop']>): boolean {
  if (span.piece !== piece) return false;
  if (edge !== 'corner') return !corner && rawOf(span) === edge;
  return corner === true && top !== undefined && cornerIn(span) === `${top.edge}-${top.side}`;
}

/** A corner by its name: a place of its own, or the first or the last of an edge. */
const cornerIn = (span: Span): string => {
  const raw = rawOf(span);
  return raw.includes('-') ? raw : `${raw}-${span.from === 1 ? 'left' : 'right'}`;
};

/** What is worked in a step, on a second piece alike too. */
const worksIn = ({ does = [] }: WorkStep): Work[] =>
  does.flatMap((work) => (work.do === 'again' ? [...work.works] : [work]));

const bordersOn = (step: WorkStep, loop: NonNullable<Placed['loop']>): Border[] =>
  worksIn(step)
    .filter((work) => work.do === 'border')
    .filter(({ path }) => path.some((stretch) => isOn(stretch, loop)));

const bordersOnAll = (steps: readonly WorkStep[], loop: NonNullable<Placed['loop']>) =>
  steps.flatMap((step) => bordersOn(step, loop));

/**
 * After how many stitches a loop leaves, and whether it comes back to the same one: at the middle of an odd count it does, of an
 * even one it spans the two middle stitches; elsewhere it comes back.
 */
export function loopAfter(stitches: number, share = 0.5): { after: number; closes: 'same-stitch' | 'next-stitch' } {
  if (share !== 0.5)
    return { after: Math.max(1, Math.min(stitches - 1, Math.round(stitches * share))), closes: 'same-stitch' };
  const odd = stitches % 2 === 1;
  return { after: odd ? (stitches + 1) / 2 : stitches / 2, closes: odd ? 'same-stitch' : 'next-stitch' };
}

/** With an odd count it leaves and comes back to the middle stitch, with an even one it spans the two middle ones. */
function withLoopOn(border: Border, loop: NonNullable<Placed['loop']>): Border {
  const first = border.path.findIndex((stretch) => isOn(stretch, loop));
  return {
    ...border,
    path: border.path.map((stretch, index) => {
      if (index !== first) return stretch;
      if (stretch.corner) return { ...stretch, loop: { after: 0, chains: loop.chains, closes: 'same-stitch' } };
      return { ...stretch, loop: { ...loopAfter(stretch.stitches, loop.share), chains: loop.chains } };
    }),
  };
}

function replaced(step: WorkStep, border: Border, by: Border): WorkStep {
  if (step.does?.includes(border)) return { ...step, does: step.does.map((work) => (work === border ? by : work)) };
  if (!worksIn(step).includes(border)) return step;
  const does = step.does!.map((work): Work =>
    work.do === 'again' ? { ...work, works: work.works.map((one) => (one === border ? by : one)) } : work,
  );
  // what is done alike is not written out again: what is not alike is said
  return { ...step, does, text: `${step.text ?? ''} ${loopTold(by)}`.trim() };
}

/** The loop that tells a second piece from the first. */
function loopTold(border: Border): string {
  const place = border.path.findIndex((stretch) => stretch.loop);
  const looped = border.path[place]!;
  const loop = looped.loop!;
  // its last round has more at either end, where the corners have grown
  const { stitches } = borderAlong(border, (_stretch, at) => at === place).at(-1)!;
  const after = loop.after + (stitches - looped.stitches) / 2;
  return `It differs in the last round of its edging: along its last row, after ${plural(after, 'stitch', 'stitches')} of ${stitches}, chain ${loop.chains} for the loop${loop.closes === 'same-stitch' ? ' and {slip} into the stitch just made' : ''}.`;
}
