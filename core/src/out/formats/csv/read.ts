import { UUID } from '../form';
import type { DocumentKind } from '../kinds';
import { readCell, type ReadCell } from './cells';
import type { Column } from './columns';
import { headerAt, ID, templateOf, type Meaning } from './heads';
import { namesAt } from './names';
import { setAt, stepsOf, withoutGaps } from './paths';
import type { CsvTable } from './tables';

/** What is wrong in a row, and in which of its cells; in none of them where something is missing. */
export interface RowFault {
  column: number | null;
  message: string;
}

/** A row as it was read: what it holds where nothing is wrong with it. */
export type ReadRow = { ok: true; id: string | null; body: unknown } | { ok: false; faults: RowFault[] };

/** Ids of what is kept here, by the names it goes by. */
export type Known = Partial<Record<DocumentKind, ReadonlyMap<string, string>>>;

/**
 * Reads rows of cells: each by itself, so that one that cannot be read keeps none of the others out.
 *
 * @param meanings what each column stands for; those of no meaning here are left out
 * @returns a function from the cells of a row to what they hold, or to what is wrong with them
 * @source handbook 11
 */
export function rowReader(
  table: CsvTable,
  meanings: readonly (Meaning | null)[],
  known: Known,
): (cells: readonly string[]) => ReadRow {
  const forms = new Map(table.columns.map((column) => [column.path, column]));
  const columns = meanings.flatMap((meaning, index) =>
    meaning ? [{ ...meaning, index, steps: stepsOf(meaning.path), column: forms.get(templateOf(meaning.path)) }] : [],
  );
  return (cells) => {
    const body = structuredClone(table.always ?? {}) as Record<string, unknown>;
    const faults: RowFault[] = [];
    let id: string | null = null;
    for (const { path, steps, unit, index, column } of columns) {
      const cell = cells[index] ?? '';
      if (cell === '') continue;
      if (path === ID && !column) {
        const told = cell.trim();
        if (told !== '' && !UUID.test(told)) faults.push({ column: index, message: NO_ID(told) });
        else id = told || null;
        continue;
      }
      const read = named(cell, column!) ?? readCell(cell, column!.form, unit);
      if (!read.ok) faults.push({ column: index, message: read.message });
      else if (read.value !== undefined) setAt(body, steps, referred(table, column!, read.value, known));
    }
    if (faults.length > 0) return { ok: false, faults };
    const checked = table.check(withoutGaps(body));
    if (checked.ok) return { ok: true, id, body: checked.value };
    return { ok: false, faults: checked.errors.map(({ path, message }) => placed(table, path, message, columns)) };
  };
}

/** What a cell says by the words people write for it. */
function named(cell: string, { path }: Column): ReadCell | undefined {
  const names = namesAt(path);
  if (!names || cell.trim() === '') return undefined;
  const id = names.get(cell.trim().toLowerCase());
  if (id !== undefined) return { ok: true, value: id };
  const known = [...new Set(names.values())].slice(0, 12).join(', ');
  return {
    ok: false,
    message: `“${cell.trim().slice(0, 40)}” is not known here. Write its name as it is on screen, or one of: ${known}.`,
  };
}

const NO_ID = (told: string) =>
  `“${told.slice(0, 40)}” is not an id of Keep Snug. Leave the cell empty for a new row, or copy the id from a saved table.`;

/** A document that is named rather than told by its id. */
function referred({ refers = {} }: CsvTable, { path }: Column, value: unknown, known: Known): unknown {
  const kind = refers[path];
  if (!kind || typeof value !== 'string' || UUID.test(value)) return value;
  return known[kind]?.get(value.trim().toLowerCase()) ?? value;
}

const NOT_THIS_KIND = 'What this row is has none of it. Leave the cell empty.';

/** A fault of a document at the cell it came from; at the row, with its place in words, where no column is for it. */
function placed(
  table: CsvTable,
  path: string,
  message: string,
  columns: readonly { path: string; index: number }[],
): RowFault {
  const said = message.startsWith('Not part of this format') ? NOT_THIS_KIND : message;
  const at =
    columns.find((column) => isWithin(column.path, path)) ?? columns.find((column) => isWithin(path, column.path));
  if (at) return { column: at.index, message: said };
  const own = table.columns.find((column) => isWithin(column.path, templateOf(path)));
  return { column: null, message: `${own ? headerAt(table, own.path, path) : path}: ${said}` };
}

/** Whether a path is another one, or leads further into it. */
const isWithin = (path: string, other: string): boolean =>
  path === other || (path.startsWith(other) && /[.[#]/.test(path[other.length]!));
