import type { Stage } from './definition';

/** Whether a path is one that is named, or lies within it: `fit.name` is of `fit`, `fittings[0]` is not. */
const isIn = (path: string, own: string) =>
  path === own || (path.startsWith(own) && /^[.[]/.test(path.slice(own.length)));

/** How much of a path a stage names; nothing where it is not of it. */
const named = ({ owns }: Stage, path: string) =>
  Math.max(0, ...owns.filter((own) => isIn(path, own)).map(({ length }) => length));

/** The stage in which what is wrong at a path is mended: the one that names it the most closely. */
export function stageOwning(stages: readonly Stage[], path: string): Stage | undefined {
  const [first] = [...stages].sort((one, other) => named(other, path) - named(one, path));
  return first && named(first, path) > 0 ? first : undefined;
}
