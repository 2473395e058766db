import { formatLength, plural, type Plan, type YarnRun, timesInHundred } from '@keep-snug/core';
import type { RepeatAsk, RepeatOption, RepeatTold } from '@keep-snug/core/repeat';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { RunGrid } from '@/drawing/RunGrid';
import { Action } from '@/ui/actions/Action';
import { Busy } from '@/ui/notices/Busy';
import { Panel } from '@/ui/layout/Panel';
import { Pick } from '@/ui/fields/Pick';
import { Words } from '@/ui/layout/Words';
import { useSettings } from '@/data/settings';
import { useRepeat } from '@/platform/useReckonWorker';

interface Props {
  plan: Plan;
  runs: readonly YarnRun[];
  onTake: (option: RepeatOption) => void;
  onClose: () => void;
}

type Effect = RepeatTold['effect'];

const EFFECTS: Readonly<Record<Effect, string>> = {
  stacked: 'columns of colour',
  'spiral-left': 'a spiral to the left',
  'spiral-right': 'a spiral to the right',
  plaid: 'a plaid',
  scattered: 'scattered colours',
};
const ANY = '';
const WANTED = [
  { id: ANY, name: 'any pattern' },
  ...(Object.keys(EFFECTS) as Effect[]).filter((id) => id !== 'scattered').map((id) => ({ id, name: EFFECTS[id] })),
];

/** What a repeating yarn comes to on this piece, drawn stitch by stitch, and the counts that come to something else. */
export function RepeatPanel({ plan, runs, onTake, onClose }: Props) {
  const [wanted, setWanted] = useState(ANY);
  const ask = useMemo(
    (): RepeatAsk => ({ plan, runs, ...(wanted === ANY ? {} : { effect: wanted as Effect }) }),
    [plan, runs, wanted],
  );
  const { found, stale } = useRepeat(ask);
  return (
    <Panel title="What the colours do" onClose={onClose}>
      {found ? <Told told={found} runs={runs} /> : <Busy />}
      <Pick label="Look for" value={wanted} options={WANTED} onChange={setWanted} />
      {found && !stale ? <Options options={found.options} onTake={onTake} /> : <Busy />}
    </Panel>
  );
}

function Told({ told, runs }: { told: RepeatTold; runs: readonly YarnRun[] }) {
  const { effect, driftPerRound, slopeDegrees, holdsRounds, sum } = told;
  const moves = Math.abs(driftPerRound);
  return (
    <>
      <Words as="strong" live>{`It makes ${EFFECTS[effect]}.`}</Words>
      <Words>
        {`All runs together are ${Math.round(sum * 10) / 10} stitches.${
          moves === 0 || effect === 'scattered'
            ? ''
            : ` The colours move ${plural(moves, 'stitch', 'stitches')} each time.`
        }${riseOf(effect, slopeDegrees)}`}
      </Words>
      <RunGrid grid={told.grid} runs={runs} text={`${EFFECTS[effect]}, ${told.grid.length} rows or rounds`} />
      <Words as="small" tone="faint">
        {`Half of all hands are a stitch off after about ${plural(Math.max(1, holdsRounds), 'round')}; after that, work a little tighter or looser where it strays.`}
      </Words>
    </>
  );
}

/** How steep its lines are: columns lean where rounds do. */
function riseOf(effect: Effect, slopeDegrees: number): string {
  const rise = Math.round(slopeDegrees);
  if (effect.startsWith('spiral')) return ` The spiral rises ${rise}° from the level.`;
  return effect === 'stacked' && rise < 90 ? ` The columns lean as unturned rounds do: ${rise}° from the level.` : '';
}

function Options({ options, onTake }: { options: readonly RepeatOption[]; onTake: Props['onTake'] }) {
  const units = useSettings((state) => state.units);
  if (options.length === 0)
    return <Words>No count near this size makes it. Look for another pattern, or change the size or the runs.</Words>;
  return (
    <>
      {options.map((option) => {
        const { count, hookMm, effect, easeMm, chance } = option;
        const what = `${plural(count, 'stitch', 'stitches')} on a ${hookMm} mm hook`;
        return (
          <View key={`${count} ${hookMm}`} style={{ flexDirection: 'row', alignItems: 'center', columnGap: 12 }}>
            <View style={{ flex: 1 }}>
              <Words as="smallStrong">{`${what}: ${EFFECTS[effect]}`}</Words>
              <Words as="small" tone="faint">
                {`fits ${timesInHundred(chance)}, ease ${formatLength(easeMm, units)}`}
              </Words>
            </View>
            <Action label={`Use ${what}`} onPress={() => onTake(option)}>
              Use it
            </Action>
          </View>
        );
      })}
    </>
  );
}
