import { csvReader } from './readers';

/** A table as it was opened: the heads of its columns, and its rows of cells. */
export interface Sheet {
  heads: string[];
  rows: string[][];
  /** In which line of the file the first row stands, where not in the second. */
  from?: number;
}

/** A file larger than that is no table anybody keeps by hand, bytes. */
const LARGEST = 20_000_000;
const MOST_ROWS = 20_000;
const MOST_COLUMNS = 400;

/** A spreadsheet on some systems reads a file as UTF-8 only where it says so. */
const MARK = '\ufeff';

/** A table as the text of a CSV file. */
export async function csvText(rows: readonly string[][]): Promise<string> {
  const reader = await csvReader();
  return MARK + reader.unparse(rows as string[][]) + '\r\n';
}

type OpenedSheet = { ok: true; sheet: Sheet } | { ok: false; fault: string };

const fault = (text: string): OpenedSheet => ({ ok: false, fault: text });

const AS_CSV = 'Save it from your spreadsheet as “CSV UTF-8” and open that.';

/** Opens a CSV file: commas, semicolons or tabs between its cells. What is wrong with the file as a whole is told in words. */
export async function openSheet(file: Pick<File, 'name' | 'size' | 'text'>): Promise<OpenedSheet> {
  const { name, size } = file;
  if (size > LARGEST)
    return fault(`${name} has ${Math.round(size / 1e6)} MB; at most ${LARGEST / 1e6} MB. Open a smaller table.`);
  const text = await file.text();
  if (text.trim() === '') return fault(`${name} is empty. ${AS_CSV}`);
  // what is no text holds bytes that no text has
  if (/[\0\ufffd]/.test(text)) return fault(`${name} is no CSV file in UTF-8. ${AS_CSV}`);
  const reader = await csvReader();
  const { data, errors } = reader.parse<string[]>(text, { skipEmptyLines: 'greedy' });
  const quote = errors.find(({ type }) => type === 'Quotes');
  if (quote)
    return fault(
      `${name}: a quotation mark in line ${(quote.row ?? 0) + 1} is never closed, or the file was cut off. ${AS_CSV}`,
    );
  const [heads = [], ...rows] = data;
  if (rows.length === 0)
    return fault(`${name} has one line only. The first line names the columns; rows come below it.`);
  if (rows.length > MOST_ROWS) return fault(`${name} has ${rows.length} rows; at most ${MOST_ROWS}. Open it in parts.`);
  if (heads.length > MOST_COLUMNS)
    return fault(`${name} has ${heads.length} columns; at most ${MOST_COLUMNS}. ${AS_CSV}`);
  return { ok: true, sheet: { heads, rows } };
}

/** As long as a page may stand still, ms. */
const STILL_MS = 30;

/** Works through a list without holding up the page; stops where it is no longer wanted. */
export async function inPortions<In, Out>(
  list: readonly In[],
  work: (one: In) => Out,
  goOn: (done: number) => boolean,
): Promise<Out[]> {
  const out: Out[] = [];
  let until = Date.now() + STILL_MS;
  for (const one of list) {
    out.push(work(one));
    if (Date.now() < until) continue;
    await new Promise((resolve) => setTimeout(resolve));
    if (!goOn(out.length)) return out;
    until = Date.now() + STILL_MS;
  }
  return out;
}
