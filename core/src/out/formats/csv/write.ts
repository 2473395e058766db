import { cellOf } from './cells';
import { headerAt } from './heads';
import { placesOf } from './paths';
import type { CsvTable } from './tables';

/** A row as it is kept: its id, where rows have one, and what it holds. */
export interface Kept {
  id?: string;
  body: unknown;
}

/**
 * Documents as rows of cells, the heads of the columns first: only columns that any of them has, each in its place.
 *
 * @source handbook 11
 */
export function tableRows(table: CsvTable, kept: readonly Kept[]): string[][] {
  const forms = new Map(table.columns.map(({ path, form }, place) => [path, { form, place }]));
  const found = kept.map(({ body }) => placesOf(body, (template) => forms.has(template)));
  const always = table.always ?? {};
  const seen = new Map(
    found.flat().flatMap(({ path, template }) => (template in always ? [] : [[path, template] as const])),
  );
  const root = (template: string) => template.split('#')[0]!;
  // an entry of a list stays together: its name, its length, then the next one's
  const rootPlace = (template: string) => table.columns.findIndex(({ path }) => root(path) === root(template));
  const columns = [...seen]
    .map(([path, template]) => ({ path, template, root: rootPlace(template), place: forms.get(template)!.place }))
    .sort(
      (a, b) => a.root - b.root || inList(a.path) - inList(b.path) || a.place - b.place || byNumbers(a.path, b.path),
    )
    .map(({ path, template }) => [path, template] as const);
  const heads = columns.map(([path, template]) => headerAt(table, template, path));
  const rows = found.map((places, index) => {
    const values = new Map(places.map(({ path, value }) => [path, value]));
    const cells = columns.map(([path, template]) => cellOf(values.get(path), forms.get(template)!.form));
    return table.identified ? [kept[index]!.id ?? '', ...cells] : cells;
  });
  return [table.identified ? ['id', ...heads] : heads, ...rows];
}

/** Which entry of its outermost list a place is in. */
const inList = (path: string): number => Number(/\[(\d+)\]/.exec(path)?.[1] ?? -1);

const byNumbers = (one: string, other: string): number => one.localeCompare(other, 'en', { numeric: true });
