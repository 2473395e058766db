/** A document's parts by the steps of a path: `thing.tools[0].length.mm`. */
type Holder = Record<string, unknown>;

/** The steps a path takes. */
export const stepsOf = (path: string): (string | number)[] =>
  [...path.matchAll(/[^.[\]]+|\[(\d+)\]/g)].map(([key, index]) => (index === undefined ? key : Number(index)));

/** Sets a value where steps lead, making what is missing on the way. */
export function setAt(root: Holder, steps: readonly (string | number)[], value: unknown): void {
  let at: Holder = root;
  steps.forEach((step, index) => {
    if (index === steps.length - 1) at[step] = value;
    else at = (at[step] ??= typeof steps[index + 1] === 'number' ? [] : {}) as Holder;
  });
}

/** Lists without the entries that nothing was said of. */
export function withoutGaps(value: unknown): unknown {
  if (Array.isArray(value)) return value.filter((one) => one !== undefined).map(withoutGaps);
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(Object.entries(value).map(([key, one]) => [key, withoutGaps(one)]));
}

/**
 * Every place of a document that a column may stand for: its path with numbers, and the same with `#` for each.
 * @param isColumn whether a path with `#` is a column's, and its value therefore stays whole
 */
export function placesOf(
  value: unknown,
  isColumn: (template: string) => boolean,
  path = '',
  template = '',
): { path: string; template: string; value: unknown }[] {
  if (value === undefined) return [];
  if (isColumn(template)) return [{ path, template, value }];
  if (Array.isArray(value))
    return value.flatMap((one, index) => placesOf(one, isColumn, `${path}[${index}]`, `${template}#`));
  if (typeof value !== 'object' || value === null) return [];
  return Object.entries(value).flatMap(([key, one]) => {
    const dot = path === '' ? '' : '.';
    return placesOf(one, isColumn, `${path}${dot}${key}`, `${template}${dot}${key}`);
  });
}

/** A path with `#` and the numbers for them, counted from 1, as a path. */
export const withNumbers = (template: string, numbers: readonly number[]): string => {
  const left = [...numbers];
  return template.replace(/#/g, () => `[${(left.shift() ?? 1) - 1}]`);
};
