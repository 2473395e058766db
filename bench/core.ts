import { bundleCore } from '../tools/bundle.mjs';

/** The core as it ships, one file: run from its sources, every function would be named anew at each call. */
export const { chance, FITS, reckon, ways, workOut } = (await import(
  await bundleCore()
)) as typeof import('@keep-snug/core');
