import { plural, sectionWord, type Worked } from '@keep-snug/core';
import { View } from 'react-native';
import { FigureLine } from '@/ui/lists/FigureLine';
import { Words } from '@/ui/layout/Words';
import { Supplies } from './Supplies';

const FOUNDATIONS = {
  chain: 'Chain',
  'joined-chain': 'Chain, joined to a ring',
  'chain-both-sides': 'Chain, both sides',
  ring: 'Into the ring',
  'picked-up': 'Picked up',
} as const;

/** What the plan comes to, every figure with its workings. */
export function Sums({ worked }: { worked: Worked }) {
  const several = worked.pieces.length > 1;
  return (
    <View>
      {worked.pieces.map((piece) => (
        <View key={piece.id}>
          {several || piece.times > 1 ? (
            <Words as="strong" level={3} style={{ paddingTop: 8 }}>
              {piece.times > 1 ? `${piece.name} (make ${piece.times})` : piece.name}
            </Words>
          ) : null}
          <FigureLine
            name={FOUNDATIONS[piece.foundation.kind]}
            figure={piece.counts.foundation}
            text={String(piece.foundation.count)}
          />
          <FigureLine
            name={piece.worked === 'rows' ? 'Stitches in a row' : 'Stitches around'}
            figure={piece.counts.stitches}
            text={String(piece.stitches)}
          />
          <FigureLine
            name={piece.worked === 'rows' ? 'Rows' : 'Rounds'}
            figure={piece.counts.rows}
            text={String(piece.rows)}
          />
          {piece.sections.length > 1
            ? piece.sections.map((section) => (
                <FigureLine
                  key={section.from}
                  name={`${wordOf(section.count.unit, section.worked ?? piece.worked)} of the ${sectionWord(section.name)}`}
                  figure={section.count}
                  text={counted(section, section.worked ?? piece.worked)}
                />
              ))
            : null}
          <FigureLine name={`${piece.name} width`} figure={piece.width} />
          <FigureLine name={`${piece.name} length`} figure={piece.height} />
        </View>
      ))}
      <FigureLine name="Inside circumference" figure={worked.inside.girth} />
      <FigureLine name="Inside depth" figure={worked.inside.depth} />
      <FigureLine name="Thickness when full" figure={worked.outside.thickness} />
      <Supplies worked={worked} />
    </View>
  );
}

function wordOf(unit: string, worked: 'rows' | 'rounds'): string {
  if (unit === 'stitches') return 'Stitches';
  return worked === 'rows' ? 'Rows' : 'Rounds';
}

function counted(
  { count, rows, stitches }: Worked['pieces'][number]['sections'][number],
  worked: 'rows' | 'rounds',
): string {
  if (count.unit === 'stitches') return plural(stitches, 'stitch', 'stitches');
  return plural(rows, worked === 'rows' ? 'row' : 'round');
}
