const fc = require('fast-check');

/**
 * Property tests look at other cases in every run. A red one prints its seed, and FC_SEED draws the same cases again.
 * FC_RUNS multiplies how many there are.
 */
const { FC_SEED, FC_RUNS = '1' } = process.env;
const seed = FC_SEED === undefined ? Date.now() % 0x7fffffff : Number(FC_SEED);
fc.configureGlobal({ seed, ...(FC_RUNS === '1' ? {} : { numRuns: 100 * Number(FC_RUNS) }) });
