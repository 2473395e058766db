/** A file that cannot be used, said to whoever starts the program: which, what is wrong, what to do. */
export declare class StoreProblem extends Error {
  readonly file: string;
  readonly fault: string;
  name: string;
  constructor(file: string, fault: string, options?: ErrorOptions);
}
export declare const NO_PLACE = 'cannot be opened. See whether its folder is there and may be written to.';
/**
 * What an error of the driver says of the file.
 * @returns nothing where the error is not the file’s
 */
export declare function faultOf(error: unknown): string | undefined;
export declare const DAMAGED: (first: string) => string;
export declare const NEWER =
  'was written by a newer Keep Snug. Start that one, or name another file in KEEP_SNUG_DATA.';
export declare const FOLDER = 'is a folder. Name a file in it, in KEEP_SNUG_DATA.';
export declare const GONE = 'is no longer where it was. Stop the server, put the file back and start again.';
