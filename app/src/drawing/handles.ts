import type { Choice, Dimension, Drive, View } from '@keep-snug/core';

/** A dimension that can be drawn: what it changes, and how. */
export type Handle = { dimension: Dimension } & ({ choice: Choice; drive?: never } | { drive: Drive; choice?: never });

/** The dimensions of a view that change something. */
export function handlesOf(view: View, choices: readonly Choice[]): Handle[] {
  const seen = new Set<string>();
  return view.parts.flatMap((part): Handle[] => {
    if (part.type !== 'dimension') return [];
    const choice = choices.find(({ id }) => id === part.choice);
    const key = choice?.id ?? part.drives?.path;
    if (!key || seen.has(key)) return [];
    seen.add(key);
    if (choice) return [{ dimension: part, choice }];
    return part.drives ? [{ dimension: part, drive: part.drives }] : [];
  });
}

/** How far apart counts lie that the stitch allows, and how many mm one of them is. */
export function stepsOf({ options }: Choice): { count: number; mm: number } {
  const best = options.findIndex((option) => option.best);
  const [a, b] =
    best + 1 < options.length ? [options[best]!, options[best + 1]!] : [options[best - 1]!, options[best]!];
  const count = Math.max(1, b.count - a.count);
  return { count, mm: (b.mm - a.mm) / count };
}

/** The counts a dimension goes between: of the stitch's multiple, from one repeat to twice the best. */
function countsOf(choice: Choice): { min: number; max: number } {
  const { count } = stepsOf(choice);
  const best = choice.options.find((option) => option.best)!.count;
  const repeats = Math.floor((best - 1) / count);
  return { min: best - repeats * count, max: best + Math.max(1, repeats) * count };
}

/** What a handle goes between, in its own unit: counts, or mm. */
export function rangeOf({ choice, drive }: Handle): { min: number; max: number } {
  return choice ? countsOf(choice) : drive;
}

/** The count a dimension is dragged to: whole, of the stitch's multiple, within its range. */
export function drawnCount(choice: Choice, byMm: number): number {
  const chosen = choice.options.find((option) => option.chosen)!;
  const { count, mm } = stepsOf(choice);
  const repeats = Math.round(byMm / (mm * count));
  // a count picked by hand may lie beside the multiple: dragging brings it back
  const best = choice.options.find((option) => option.best)!.count;
  const aligned = best + Math.round((chosen.count - best) / count) * count;
  const { min, max } = countsOf(choice);
  return Math.min(Math.max(max, aligned), Math.max(min, aligned + repeats * count));
}

/** The value an entry is drawn to: in whole rows from what it is, within its limits. */
export function drawnValue({ value, step, min, max }: Drive, byMm: number): number {
  const drawn = value + Math.round(byMm / step) * step;
  return Math.round(Math.min(max, Math.max(min, drawn)) * 10) / 10;
}
