import { baseStitch, BOW, CROSS, type ChartSymbol } from '../craft/fabric';
import type { BorderStitch } from '../piece';

/**
 * What a round of a border is charted with along so many places, from the first on: of loops a bow over every other place
 * and the single that holds it, an odd place over being worked plain (handbook 6).
 */
export function borderSigns(stitch: BorderStitch, places: number): ChartSymbol[] {
  if (stitch !== 'loops') return Array<ChartSymbol>(places).fill(baseStitch(stitch)!.symbol);
  return Array.from({ length: places }, (_, at) => (at % 2 === 0 && at < places - 1 ? BOW : CROSS));
}
