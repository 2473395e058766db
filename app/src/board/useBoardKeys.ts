import { useEffect } from 'react';
import { useBoard } from '@/state/board';
import { useHistory } from '@/state/history';
import { STAGES } from './stages';

const VIEWS = ['flat', 'folded', 'cut'];

/** The figure that has the focus, if one has: a button that opens workings. */
function focusedFigure(): HTMLElement | null {
  const focused = document.activeElement as HTMLElement | null;
  if (focused?.getAttribute('aria-label')?.endsWith('Workings')) return focused;
  return document.querySelector<HTMLElement>('[aria-label$="Workings"]');
}

/** Keys of the board, besides Tab and Enter; none is needed, and none works while something is typed. */
export function useBoardKeys(id: string, showKeys: () => void): void {
  useEffect(() => {
    const { openStage, look } = useBoard.getState();
    const stages = Object.fromEntries(STAGES.map((stage, index) => [String(index + 1), () => openStage(stage.id)]));
    const keys: Record<string, () => void> = {
      ...stages,
      u: () => useHistory.getState().undo(id),
      U: () => useHistory.getState().redo(id),
      f: () => look(VIEWS[(VIEWS.indexOf(useBoard.getState().view) + 1) % VIEWS.length]!),
      w: () => focusedFigure()?.click(),
      '?': showKeys,
    };
    const onKey = (event: KeyboardEvent) => {
      const target = event.target as HTMLElement;
      if (/^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName)) return;
      if (event.ctrlKey || event.metaKey || event.altKey) return;
      keys[event.key]?.();
    };
    document.addEventListener('keydown', onKey);
    return () => document.removeEventListener('keydown', onKey);
  }, [id, showKeys]);
}
