import type { Fold, Span, Stretch, Work } from '../piece';
import type { WorkStep } from '../shapes';
import type { Placed } from './definition';

/** The edging worked around a mouth. */
export const RIM = 'rim';

/**
 * What is worked on a mouth is worked on its edging, where it has one: that goes on from the last round, and covers it
 * (handbook 4.4).
 */
export function onEdging<P extends Placed>(placed: P[]): P[] {
  const rimmed = new Set(placed.flatMap(({ steps }) => steps.flatMap(piecesRimmed)));
  if (rimmed.size === 0) return placed;
  const moved = (span: Span): Span =>
    span.edge === 'mouth' && rimmed.has(span.piece) ? { ...span, edge: `${RIM}.mouth` } : span;
  return placed.map((one) => ({ ...one, steps: one.steps.map((step) => ({ ...step, ...does(step, moved) })) }));
}

function piecesRimmed({ does: works = [], goesOn }: WorkStep): string[] {
  return works.flatMap((work) =>
    goesOn && work.do === 'border' && work.id === RIM ? [work.path[0]!.spans[0].piece] : [],
  );
}

function does({ does: works }: WorkStep, moved: (span: Span) => Span): Pick<WorkStep, 'does'> {
  if (!works) return {};
  return {
    does: works.map((work): Work => {
      if (work.do === 'border')
        return work.id === RIM ? work : { ...work, path: work.path.map((one) => onSpans(one, moved)) };
      return work.do === 'fold' ? { ...work, fold: onLays(work.fold, moved) } : work;
    }),
  };
}

function onSpans(
  { spans: [first, ...others], upon: _upon, ...stretch }: Stretch,
  moved: (span: Span) => Span,
): Stretch {
  return { ...stretch, spans: [moved(first), ...others.map(moved)] };
}

const onLays = (fold: Fold, moved: (span: Span) => Span): Fold => ({
  ...fold,
  lays: fold.lays.map(([a, b]) => [moved(a), moved(b)] as const),
});
