import type { StrapKind } from '../kind';
import { bought } from './bought';
import { chain } from './chain';
import { chainRows } from './chainRows';
import { cloth } from './cloth';
import { cord } from './cord';
import { rows } from './rows';
import { twisted } from './twisted';
import { workedOn } from './workedOn';

/** Every kind of strap, and what carries the load in each (handbook 6). */
export const STRAPS: readonly StrapKind[] = [rows, chainRows, chain, cord, workedOn, twisted, cloth, bought];
