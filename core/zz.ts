import { reckon, patternFile } from './src/index';
import { TERN_POINT } from './src/demo';
const plan = Object.values(TERN_POINT.plans)[Number(process.argv[2])] as any;
console.log(patternFile('txt', plan, reckon(plan), {terms:'US',units:'mm',hand:'right',voice:(process.argv[3]??'full')} as any));
