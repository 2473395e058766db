const fc = require('fast-check');

/**
 * Run by themselves, property tests look at other cases each time; all checks together draw the same ones everywhere. A
 * red one prints its seed, and FC_SEED draws the same cases again. FC_RUNS multiplies how many there are.
 */
const runs = Number(process.env.FC_RUNS ?? 1);
const seed = process.env.FC_SEED === undefined ? Date.now() % 0x7fffffff : Number(process.env.FC_SEED);
fc.configureGlobal({ seed, ...(runs === 1 ? {} : { numRuns: 100 * runs }) });
