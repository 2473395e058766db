import { MM_PER, parseLength, readNumber, type LengthUnit } from '../../../base/units';
import type { CellForm } from './columns';

/** What a spreadsheet would take for a formula, or for our own guard before one; an empty text is told by the guard alone. */
const GUARDED = /^(?:['=+\-@\t\r]|$)/;

const guarded = (text: string): string => (GUARDED.test(text) ? `'${text}` : text);
const unguarded = (cell: string): string =>
  cell.startsWith("'") && GUARDED.test(cell.slice(1)) ? cell.slice(1) : cell;

/** A value as a cell; no spreadsheet takes a text for a formula. */
export function cellOf(value: unknown, { is }: CellForm): string {
  if (value === undefined) return '';
  if (is === 'json') return JSON.stringify(value);
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  return typeof value === 'string' ? guarded(value) : String(value);
}

export type ReadCell = { ok: true; value: unknown } | { ok: false; message: string };

const read = (value: unknown): ReadCell => ({ ok: true, value });
const fault = (message: string): ReadCell => ({ ok: false, message });

const YES: readonly string[] = ['yes', 'true', '1', 'x'];
const NO: readonly string[] = ['no', 'false', '0'];

/**
 * A cell as a value of its form: a decimal comma and a unit of its own are taken, an empty cell is no value.
 *
 * @param unit what lengths of this column are in where the cell does not say so
 * @returns the value, or what is wrong with the cell and how to mend it
 * @source handbook 11
 */
export function readCell(given: string, form: CellForm, unit: LengthUnit): ReadCell {
  if (given.trim() === '') return read(undefined);
  const cell = unguarded(given);
  switch (form.is) {
    case 'number':
      return form.unit === 'mm' ? readLength(cell, unit) : readAmount(cell, form.unit);
    case 'truth':
      return readTruth(cell);
    case 'one-of':
      return read(form.values.find((value) => String(value).toLowerCase() === cell.trim().toLowerCase()) ?? cell);
    case 'either':
      return read(readEither(cell, form.number));
    case 'json':
      return readJson(cell);
    case 'id':
    case 'time':
    case 'day':
    case 'hex':
      return read(cell.trim());
    case 'text':
      return read(cell);
  }
}

function readLength(cell: string, unit: LengthUnit): ReadCell {
  const negative = /^\s*[-−]/.test(cell);
  const plain = Number(cell);
  // as it was written here, to the last digit
  if (unit === 'mm' && cell.trim() !== '' && Number.isFinite(plain)) return read(plain);
  const parsed = parseLength(cell, unit);
  if (parsed.ok) return read(parsed.mm);
  return fault(
    negative ? `“${cell.trim()}” is negative. Write a length such as ${1000 / MM_PER[unit]}.` : parsed.message,
  );
}

function readAmount(cell: string, unit: string | undefined): ReadCell {
  const value = Number.isFinite(Number(cell)) ? Number(cell) : readNumber(cell, unit);
  if (Number.isFinite(value)) return read(value);
  return fault(`“${cell.trim()}” is not a number. Write one such as 78, with a comma or a point.`);
}

function readTruth(cell: string): ReadCell {
  const word = cell.trim().toLowerCase();
  if (YES.includes(word)) return read(true);
  if (NO.includes(word)) return read(false);
  return fault(`“${cell.trim()}” is neither yes nor no. Write one of them.`);
}

function readEither(cell: string, number: boolean): unknown {
  if (cell === 'yes') return true;
  if (cell === 'no') return false;
  if (cell === 'null') return null;
  return number && /^\d+$/.test(cell) ? Number(cell) : cell;
}

function readJson(cell: string): ReadCell {
  try {
    return read(JSON.parse(cell) as unknown);
  } catch {
    return fault('This part was cut off, or is not JSON. Save the table again and copy this cell from there.');
  }
}
