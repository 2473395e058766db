import { Router } from 'express';
/** Serves the exported app: its files, compressed where that was done when it was built; every other path its one page. */
export declare function appFiles(root: string): Router;
/** Hashes of the page's inline scripts, for the content security policy. */
export declare function inlineScriptHashes(root: string): string[];
