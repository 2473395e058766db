import { Tabs } from '@/ui/layout/Tabs';
import type { Progress } from '@/reading/useProgress';

interface Props {
  progress: Progress;
  onChoose: (part: string) => void;
}

/** Pieces that are made each by itself, with how far it is; nothing where there is one. */
export function PartTabs({ progress: { parts, part }, onChoose }: Props) {
  const open = parts.filter(({ waits }) => !waits);
  if (open.length < 2) return null;
  return (
    <Tabs
      label="Pieces"
      oneLine
      value={part ?? ''}
      options={open.map(({ id, name, of, done }) => ({
        id,
        name: done === of ? `${name}: done` : `${name}: ${done}/${of}`,
      }))}
      onChange={onChoose}
    />
  );
}
