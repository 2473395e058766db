import { isPractice, type Make, type Mended } from '@keep-snug/core';
import type { ReactNode } from 'react';
import type { Progress } from '@/reading/useProgress';
import { KeysPanel } from '@/ui/notices/KeysPanel';
import { WhenPanel } from '@/ui/when/WhenPanel';
import { ChartPanel } from './ChartPanel';
import { FinishPanel } from './FinishPanel';
import { FoldPanel } from './FoldPanel';
import { MAKE_KEYS } from './keys';
import { LandedPanel } from './LandedPanel';
import { LogPanel } from './LogPanel';
import { LostPanel } from './LostPanel';
import { MeasurePanel } from './MeasurePanel';
import { NotePanel } from './NotePanel';
import { ChangedPanel } from './PlanChanged';
import { SwatchPanel } from './SwatchPanel';
import type { ChangedPlan } from './useChangedWays';
import { WeighPanel } from './WeighPanel';

/** The room while a panel is open in it. */
interface OpenRoom {
  id: string;
  make: Make;
  progress: Progress;
  mended: Mended | null;
  changed: ChangedPlan | null;
  onClose: () => void;
  /** Closes it, and goes to where what is finished stands. */
  onLeave: () => void;
}

/** What opens over the counter room. */
interface MakePanel {
  id: string;
  /** How it is called where it is offered: in the bar, in the menu behind it, or last of that where there is a keyboard; nothing for what the room opens by itself. */
  offered?: { as: string; where: 'bar' | 'menu' | 'wide' };
  key?: string;
  /** Makes it is for; all of them where nothing is said. */
  isFor?: (make: Make) => boolean;
  draw: (room: OpenRoom) => ReactNode;
}

/** A practice swatch is measured for its gauge, and nothing else of it is asked. */
const ofSwatch = (room: OpenRoom, onClose: () => void) => <SwatchPanel make={room.make} onClose={onClose} />;

/** Every panel, in the order it is offered in. A new one is a file of its own and a line here. */
export const PANELS: readonly MakePanel[] = [
  {
    id: 'measure',
    offered: { as: 'Measure', where: 'bar' },
    key: 'm',
    draw: (room) => (isPractice(room.make.plan) ? ofSwatch(room, room.onClose) : <MeasurePanel {...room} />),
  },
  {
    id: 'note',
    offered: { as: 'Note', where: 'bar' },
    key: 'n',
    draw: ({ id, progress: { state, worked }, onClose }) => (
      <NotePanel make={id} step={state.last?.step ?? worked.steps[0]!.id} onClose={onClose} />
    ),
  },
  {
    id: 'lost',
    offered: { as: 'Lost count', where: 'bar' },
    key: 'l',
    draw: ({ id, make, progress, onClose }) => <LostPanel {...{ id, make, progress, onClose }} />,
  },
  {
    id: 'weigh',
    offered: { as: 'Weigh the ball', where: 'menu' },
    key: 'w',
    draw: ({ id, make, progress, onClose }) => <WeighPanel {...{ id, make, progress, onClose }} />,
  },
  {
    id: 'chart',
    offered: { as: 'Chart', where: 'menu' },
    draw: ({ progress, onClose }) => <ChartPanel progress={progress} onClose={onClose} />,
  },
  {
    id: 'log',
    offered: { as: 'Log', where: 'menu' },
    draw: ({ id, progress, onClose }) => <LogPanel {...{ id, progress, onClose }} />,
  },
  {
    id: 'landed',
    offered: { as: 'Where the round ended', where: 'menu' },
    isFor: ({ plan }) => plan.fabric.yarn?.runs !== undefined,
    draw: ({ id, make, progress, onClose }) => <LandedPanel {...{ id, make, progress, onClose }} />,
  },
  {
    id: 'when',
    offered: { as: 'When it is done', where: 'menu' },
    draw: ({ id, make, onClose }) => <WhenPanel id={id} title={make.title} onClose={onClose} />,
  },
  {
    id: 'changed',
    draw: ({ id, make, changed, onClose }) => changed && <ChangedPanel {...{ id, make, changed, onClose }} />,
  },
  {
    id: 'fold',
    draw: ({ id, make, progress, onClose }) => <FoldPanel {...{ id, make, progress, onClose }} />,
  },
  {
    id: 'finish',
    draw: (room) =>
      isPractice(room.make.plan) ? (
        ofSwatch(room, room.onLeave)
      ) : (
        <FinishPanel
          id={room.id}
          make={room.make}
          worked={room.progress.worked}
          pace={room.progress.pace}
          onClose={room.onLeave}
        />
      ),
  },
  {
    id: 'keys',
    offered: { as: 'Keys', where: 'wide' },
    key: '?',
    draw: ({ onClose }) => <KeysPanel keys={MAKE_KEYS} onClose={onClose} />,
  },
];

/** The panels that are offered at a place for a make. */
export const panelsAt = (where: 'bar' | 'menu' | 'wide', make: Make): (MakePanel & { as: string })[] =>
  PANELS.flatMap((panel) =>
    panel.offered?.where === where && (panel.isFor?.(make) ?? true) ? [{ ...panel, as: panel.offered.as }] : [],
  );
