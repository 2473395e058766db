import { benchDrag } from './drag';
import { benchFirstLoad } from './firstLoad';
import { writeGoals } from './goals';
import { benchGrowth } from './growth';
import { benchMend } from './mend';
import { benchPaint } from './paint';
import { benchPortrait } from './portrait';
import { benchReckon, benchSearch, benchSheet } from './reckon';
import { benchRepeat } from './repeat';
import { benchTables } from './tables';
import { benchTick } from './tick';

/** All benchmarks, or those that are named. */
const BENCHMARKS: Readonly<Record<string, () => void | Promise<void>>> = {
  reckon: benchReckon,
  sheet: benchSheet,
  tables: benchTables,
  search: benchSearch,
  mend: benchMend,
  repeat: benchRepeat,
  portrait: benchPortrait,
  firstLoad: benchFirstLoad,
  paint: benchPaint,
  tick: benchTick,
  drag: benchDrag,
  growth: benchGrowth,
};

const wanted = process.argv.slice(2);
for (const [name, run] of Object.entries(BENCHMARKS)) if (wanted.length === 0 || wanted.includes(name)) await run();
writeGoals();
process.exit(0);
