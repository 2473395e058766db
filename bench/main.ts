import { benchDrag } from './drag';
import { benchFirstLoad } from './firstLoad';
import { benchReckon, benchSearch, benchSheet } from './reckon';
import { benchTick } from './tick';

await benchReckon();
await benchSheet();
await benchSearch();
benchFirstLoad();
await benchTick();
await benchDrag();
process.exit(0);
