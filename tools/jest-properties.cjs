const fc = require('fast-check');

/**
 * Property tests look at other cases in every run. A red one prints its seed, and FC_SEED draws the same cases again.
 * FC_RUNS multiplies how many there are.
 */
const runs = Number(process.env.FC_RUNS ?? 1);
const seed = process.env.FC_SEED === undefined ? Date.now() % 0x7fffffff : Number(process.env.FC_SEED);
fc.configureGlobal({ seed, ...(runs === 1 ? {} : { numRuns: 100 * runs }) });
