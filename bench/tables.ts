import type * as Csv from '@keep-snug/core/csv';
import { TERN_POINT } from '@keep-snug/core/demo';
import papaparse from 'papaparse';
import './core';
import { ms, timed } from './measure';

const ROWS = 10_000;

/** A table of ten thousand things read: its text taken apart, every row checked. */
export async function benchTables(): Promise<void> {
  const bundled = new URL('../core/.cache/csv.mjs', import.meta.url).href;
  const { CSV_TABLES, guessColumns, rowReader, tableRows } = (await import(bundled)) as typeof Csv;
  const table = CSV_TABLES[0]!;
  const things = Object.entries(TERN_POINT.things).map(([id, body]) => ({ id, body }));
  const kept = Array.from({ length: ROWS }, (_, index) => things[index % things.length]!);
  const text = papaparse.unparse(tableRows(table, kept));
  console.log(`a table of ${ROWS} things read from ${Math.round(text.length / 1000)} kB of CSV (wanted: under 2 s)`);
  let good = 0;
  const { median, p95 } = await timed(5, () => {
    const [heads = [], ...rows] = papaparse.parse<string[]>(text).data;
    const read = rowReader(table, guessColumns(table, heads), {});
    good = rows.filter((row) => read(row).ok).length;
  });
  console.log(`  median ${ms(median)}, p95 ${ms(p95)}, ${good} of them without a fault`);
}
