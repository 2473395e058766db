/** A file that cannot be used, said to whoever starts the program: which, what is wrong, what to do. */
export class StoreProblem extends Error {
  override name = 'StoreProblem';

  constructor(
    readonly file: string,
    readonly fault: string,
    options?: ErrorOptions,
  ) {
    super(`“${file}” ${fault}`, options);
  }
}

const LAY_ASIDE = 'Put back a copy of it, or lay it aside and start with a new one.';

export const FULL = 'has no room left on its disk. Make room there; the server need not be started again.';

export const NO_PLACE = 'cannot be opened. See whether its folder is there and may be written to.';

/** SQLite's result codes by their first words (sqlite.org/rescode), with what helps. */
const FAULTS: readonly (readonly [code: string, fault: string])[] = [
  ['SQLITE_NOTADB', 'is not a file of Keep Snug’s. Name another in KEEP_SNUG_DATA.'],
  ['SQLITE_CORRUPT', `is damaged. ${LAY_ASIDE}`],
  ['SQLITE_READONLY', 'cannot be written to. Allow writing to it and to its folder, then start again.'],
  ['SQLITE_FULL', FULL],
  [
    'SQLITE_IOERR',
    'cannot be read or written: its disk reports a fault. Look at the disk, and keep a copy of the file.',
  ],
  ['SQLITE_BUSY', 'is held by another program. End that one, then start again.'],
  ['SQLITE_CANTOPEN', NO_PLACE],
  ['ECONNREFUSED', 'cannot be reached. See whether the server there runs, and DATABASE_URL names it.'],
  ['ENOTFOUND', 'cannot be reached. See whether DATABASE_URL names it rightly.'],
  // the driver tells this one without its code
  ['ConnectionFailed', NO_PLACE],
];

/**
 * What an error of the driver says of the file.
 * @returns nothing where the error is not the file’s
 */
export function faultOf(error: unknown): string | undefined {
  let cause = error as { code?: string; message?: string; cause?: unknown } | undefined;
  for (; cause; cause = cause.cause as typeof cause) {
    const said = `${cause.code ?? ''} ${cause.message ?? ''}`;
    const known = FAULTS.find(([code]) => said.includes(code));
    if (known) return known[1];
  }
  return undefined;
}

export const DAMAGED = (first: string) => `is damaged (${first}). ${LAY_ASIDE}`;
export const NEWER = 'was written by a newer Keep Snug. Start that one, or name another file in KEEP_SNUG_DATA.';
export const FOREIGN =
  'is another program’s database; nothing was written into it. Name a file of Keep Snug’s, or one that is not there yet, in KEEP_SNUG_DATA.';
export const FOLDER = 'is a folder. Name a file in it, in KEEP_SNUG_DATA.';
export const GONE =
  'was moved, deleted or replaced while the server ran: nothing is written any more, so that nothing is lost unseen. Stop the server, put the file back and start again.';
export const REFUSED = 'refuses what is written to it. Look at its disk and its rights; it is tried again by itself.';
