import { BASES, baseStitch, BOW, OVAL, stitchDefinition, type ChartSymbol } from '../../craft/fabric';
import { techniqueOf, techniqueOfStitch, type Technique } from '../../pattern/techniques';

/** A sign of the key: its symbol, and the technique it stands for. */
export interface Sign {
  id: string;
  symbol: ChartSymbol;
  technique: Technique | undefined;
}

/** A small column of chains: those that begin a row where they count as its first stitch. */
const COLUMN: ChartSymbol = (x, y, w, h) =>
  [-0.3, 0, 0.3].map((share) => OVAL(x, y + share * h, 0.55 * w, 0.5 * w)).join('');

/** A row of the maker’s own pattern, place by place. */
const OWN: ChartSymbol = (x, y, w, h) => OVAL(x, y, 0.8 * w, h);

const NAMED: Readonly<Record<string, { symbol: ChartSymbol; technique?: string }>> = {
  chain: { symbol: OVAL, technique: 'chain' },
  loop: { symbol: BOW, technique: 'mesh-loop' },
  'turning-chain': { symbol: COLUMN, technique: 'turning-chain' },
  own: { symbol: OWN },
};

/** The sign of an id of a laid course. */
export function signOf(id: string): Sign {
  const named = NAMED[id];
  if (named) return { id, symbol: named.symbol, technique: named.technique ? techniqueOf(named.technique) : undefined };
  const technique = techniqueOf(id) ?? techniqueOfStitch(id);
  const symbol =
    technique?.symbol ?? baseStitch(id)?.symbol ?? BASES[stitchDefinition(id) ? 'single' : 'double'].symbol;
  return { id, symbol, technique };
}
