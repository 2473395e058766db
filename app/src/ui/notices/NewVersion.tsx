import { useVersion } from '@/platform/version';
import { Action } from '@/ui/actions/Action';
import { Line } from '@/ui/lists/Line';

/** A new version waits until it suits: nothing is lost by it, since all is kept as it is made. */
export function NewVersion() {
  const takeNew = useVersion((state) => state.takeNew);
  if (!takeNew) return null;
  return (
    <Line tone="thread" word="A new version is ready." text="Reload when it suits you. Everything stays as it is.">
      <Action onPress={takeNew}>Reload</Action>
    </Line>
  );
}
