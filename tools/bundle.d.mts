/** Bundles the server and answers with the file it lies in. */
export function bundleServer(): Promise<string>;

/** Bundles the core and answers with the file it lies in. */
export function bundleCore(): Promise<string>;
