import { useKeys } from '@/platform/useKeys';
import { nextSide, useBoard } from '@/data/board';
import { useHistory } from '@/data/history';
import { STAGES } from './stages';
import { focused, namedToEnd } from '@/platform/page';

const VIEWS = ['finished', 'flat', 'folded', 'cut'];

/** The figure that has the focus, or else the first: a button that opens workings. */
function focusedFigure(): HTMLElement | null {
  const has = focused();
  return has?.getAttribute('aria-label')?.endsWith('Workings') ? has : namedToEnd('Workings');
}

/** Keys of the board. */
export function useBoardKeys(id: string, wide: boolean, showKeys: () => void): void {
  const { openStage, look, turn } = useBoard.getState();
  useKeys({
    ...Object.fromEntries(STAGES.map((stage, index) => [String(index + 1), () => openStage(id, stage.id)])),
    u: () => useHistory.getState().undo(id),
    U: () => useHistory.getState().redo(id),
    // wide, all views are seen at once: what is left to look at is the piece's other sides
    f: wide
      ? () => turn(nextSide(useBoard.getState().side))
      : () => look(VIEWS[(VIEWS.indexOf(useBoard.getState().view) + 1) % VIEWS.length]!),
    w: () => focusedFigure()?.click(),
    '?': showKeys,
  });
}
