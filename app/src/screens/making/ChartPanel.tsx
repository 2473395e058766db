import { Panel } from '@/ui/layout/Panel';
import { Words } from '@/ui/layout/Words';
import { ChartPicture } from '@/technique/ChartPicture';
import type { Progress } from '@/reading/useProgress';

/** So many rows below the one on the hook are shown, and above it. */
const BELOW = 4;
const ABOVE = 2;

/** The row on the hook in its chart, between those it stands on and those to come. */
export function ChartPanel({
  progress: { worked, next, piece },
  onClose,
}: {
  progress: Progress;
  onClose: () => void;
}) {
  const row = next?.row ?? piece.rows;
  const from = Math.max(1, row - BELOW);
  return (
    <Panel title="Chart" onClose={onClose}>
      <Words as="small" tone="faint">{`${piece.name}, row ${row} of ${piece.rows}`}</Words>
      <ChartPicture
        steps={worked.steps}
        piece={piece.id}
        from={from}
        to={Math.min(piece.rows, row + ABOVE)}
        now={next?.row ?? undefined}
      />
    </Panel>
  );
}
