import { View } from 'react-native';
import Svg, { Line, Rect } from 'react-native-svg';
import { useColours } from '@/theme/useTheme';
import { Words } from '@/ui/layout/Words';
import type { PieceNow } from './pieces';

/** The tallest piece, px. */
const TALLEST = 92;

/** All pieces of a batch to one scale, in their yarns: filled as far as they are done. */
export function PieceRow({ pieces }: { pieces: readonly PieceNow[] }) {
  const colours = useColours();
  const scale = TALLEST / Math.max(1, ...pieces.map(({ mm }) => mm.height));
  const done = pieces.filter((piece) => piece.done === 1).length;
  return (
    <View role="img" aria-label={`${done} of ${pieces.length} pieces done`} style={{ gap: 6 }}>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', alignItems: 'flex-end', gap: 8 }} aria-hidden>
        {pieces.map((piece) => (
          <Shape key={`${piece.variant} ${piece.number}`} piece={piece} scale={scale} fallback={colours.cloth.front} />
        ))}
      </View>
      <Words as="smallStrong">{`${done} of ${pieces.length} done`}</Words>
    </View>
  );
}

function Shape({ piece, scale, fallback }: { piece: PieceNow; scale: number; fallback: string }) {
  const colours = useColours();
  const [w, h] = [Math.max(6, piece.mm.width * scale), Math.max(6, piece.mm.height * scale)];
  const up = h * piece.done;
  return (
    <Svg width={w} height={h}>
      <Rect x={0} y={h - up} width={w} height={up} fill={piece.hex ?? fallback} />
      {piece.done === 0 ? <Rect x={3} y={h - 8} width={w - 6} height={5} fill={piece.hex ?? fallback} /> : null}
      {piece.done > 0 && piece.done < 1 ? (
        <Line x1={0} x2={w} y1={h - up} y2={h - up} stroke={colours.ink} strokeWidth={1.5} />
      ) : null}
      <Rect
        x={0.75}
        y={0.75}
        width={w - 1.5}
        height={h - 1.5}
        fill="none"
        stroke={piece.done === 1 ? colours.ink : colours.faint}
        strokeWidth={1.5}
        {...(piece.done === 0 ? { strokeDasharray: '4 3' } : {})}
      />
    </Svg>
  );
}
