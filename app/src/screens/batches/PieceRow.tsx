import { StyleSheet, View } from 'react-native';
import { Portrait } from '@/drawing/portrait/Portrait';
import { Words } from '@/ui/layout/Words';
import type { PieceNow } from './pieces';

/** The tallest piece, px. */
const TALLEST = 92;

/** All pieces of a batch to one scale, each in its size and yarn: what is not made yet is faint. */
export function PieceRow({ pieces }: { pieces: readonly PieceNow[] }) {
  const scale = TALLEST / Math.max(1, ...pieces.map(({ mm }) => mm.height));
  const done = pieces.filter((piece) => piece.done === 1).length;
  return (
    <View role="img" aria-label={`${done} of ${pieces.length} pieces done`} style={{ gap: 6 }}>
      <View style={STYLES.row} aria-hidden>
        {pieces.map((piece) => (
          <View key={`${piece.variant} ${piece.number}`} style={{ opacity: FAINT + (1 - FAINT) * piece.done }}>
            <Portrait
              plan={piece.plan}
              worked={piece.worked}
              width={Math.max(24, piece.mm.width * scale * ROOM)}
              height={Math.max(24, piece.mm.height * scale * ROOM)}
            />
          </View>
        ))}
      </View>
      <Words as="smallStrong">{`${done} of ${pieces.length} done`}</Words>
    </View>
  );
}

/** How much is seen of what is not begun. */
const FAINT = 0.45;

/** What hangs from a piece takes room too. */
const ROOM = 1.25;

const STYLES = StyleSheet.create({ row: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'flex-end', gap: 8 } });
