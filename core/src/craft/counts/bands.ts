import { nearestRow, type Reach } from './cumulative';

/** Courses of one height each, or of a repeat of heights; of the band that fills, as many as are left. */
export interface BandRows {
  courses: number | undefined;
  reach: Reach;
}

/** Where each band begins and ends when a piece has so many rows in all. */
export function bandSpans(bands: readonly BandRows[], rows: number): { from: number; to: number }[] {
  const fill = rows - fixedRows(bands);
  let done = 0;
  return bands.map(({ courses = fill }) => {
    const from = done + 1;
    done += courses;
    return { from, to: done };
  });
}

/** Rows of all bands but the one that fills. */
export function fixedRows(bands: readonly BandRows[]): number {
  return bands.reduce((sum, { courses = 0 }) => sum + courses, 0);
}

/** How high so many rows reach in a piece of so many in all: band upon band, beyond them on in the last (law, handbook 4.3). */
export function reachOfBands(bands: readonly BandRows[], rows: number): Reach {
  const spans = bandSpans(bands, rows);
  return (upTo) =>
    bands.reduce((sum, { reach }, index) => {
      const { from, to } = spans[index]!;
      const last = index === bands.length - 1 ? upTo : Math.min(upTo, to);
      return last < from ? sum : sum + reach(last - from + 1);
    }, 0);
}

/** What all bands but the one that fills measure, mm. */
export function fixedMm(bands: readonly BandRows[]): number {
  return bands.reduce((sum, { courses = 0, reach }) => sum + reach(courses), 0);
}

/** Rows in all that come nearest to a length: the band that fills takes what the others leave; none where that is no row. */
export function rowsInBands(bands: readonly BandRows[], mm: number): number | undefined {
  const fill = bands.find(({ courses }) => courses === undefined)!;
  const rows = nearestRow(mm - fixedMm(bands), fill.reach);
  return rows < 1 ? undefined : fixedRows(bands) + rows;
}
