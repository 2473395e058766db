import type { CsvTable, Meaning, ReadRow } from '@keep-snug/core/csv';
import { useCallback, useEffect, useState } from 'react';
import { namesHere } from './keptHere';
import { csvTables } from './readers';
import { inPortions } from './sheet';
import { againstHere, standingOf, whatIsHere, type Here, type Standing } from './taken';

/** A row of the file: its line, and its cells as they stand now. */
export interface Line {
  line: number;
  cells: string[];
}

/** A row of the table that was opened, as it stands with what is here. */
export interface Row extends Line {
  read: ReadRow;
  standing: Standing;
}

export interface Rows {
  rows: readonly Row[];
  /** How many of them were read so far; all of them where nothing is said. */
  reading: number | null;
  /** Mends a cell: its row is read anew at once. */
  mend: (line: number, column: number, cell: string) => void;
  /** Rows that were taken leave the table. */
  taken: (lines: ReadonlySet<number>) => void;
}

interface Reader {
  read: (cells: readonly string[]) => Pick<Row, 'read' | 'standing'>;
  here: Here;
}

async function readerFor(table: CsvTable, meanings: readonly (Meaning | null)[]): Promise<Reader> {
  const { rowReader } = await csvTables();
  const here = await whatIsHere();
  const reader = rowReader(table, meanings, namesHere());
  const makeColumn = meanings.findIndex((meaning) => meaning?.path === 'make');
  const read = (cells: readonly string[]) => {
    const row = againstHere(table, reader(cells), makeColumn, here);
    return { read: row, standing: standingOf(table, row, here) };
  };
  return { read, here };
}

/** The rows of a sheet, each read by itself, while the page goes on. */
export function useRows(
  table: CsvTable,
  meanings: readonly (Meaning | null)[],
  lines: readonly Line[],
  setLines: (work: (lines: readonly Line[]) => Line[]) => void,
): Rows & { here?: Here } {
  const [reader, setReader] = useState<Reader>();
  const [rows, setRows] = useState<readonly Row[]>([]);
  const [reading, setReading] = useState<number | null>(0);
  useEffect(() => {
    let left = false;
    void readerFor(table, meanings).then(async (made) => {
      const goOn = (done: number) => {
        if (!left) setReading(done);
        return !left;
      };
      const read = await inPortions(lines, (row): Row => ({ ...row, ...made.read(row.cells) }), goOn);
      if (left) return;
      setReader(made);
      setRows(read);
      setReading(null);
    });
    return () => {
      left = true;
    };
    // a cell that is mended is read by itself
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [table, meanings]);
  const mend = useCallback(
    (line: number, column: number, cell: string) => {
      const mended = (row: string[]) => Object.assign([...row], { [column]: cell });
      setLines((all) => all.map((row) => (row.line === line ? { line, cells: mended(row.cells) } : row)));
      setRows((all) =>
        all.map((row) => {
          if (row.line !== line || !reader) return row;
          const next = mended(row.cells);
          return { line, cells: next, ...reader.read(next) };
        }),
      );
    },
    [reader, setLines],
  );
  const taken = useCallback(
    (gone: ReadonlySet<number>) => {
      setLines((all) => all.filter(({ line }) => !gone.has(line)));
      setRows((all) => all.filter(({ line }) => !gone.has(line)));
    },
    [setLines],
  );
  return { rows, reading, mend, taken, ...(reader ? { here: reader.here } : {}) };
}
