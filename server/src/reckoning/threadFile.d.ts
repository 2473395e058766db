/**
 * The thread's program as one file: beside the bundled server, or bundled anew where the server runs from its source,
 * since a thread does not read TypeScript.
 */
export declare function threadFile(): Promise<string>;
