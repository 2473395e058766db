import { roundedAmount, type Make, type Mended, type MendChoice, type Plan } from '@keep-snug/core';
import { View } from 'react-native';
import { duration } from '@/board/duration';
import { reckonFor, useReader } from '@/board/useWorked';
import { Drawing } from '@/drawing/Drawing';
import { Action } from '@/parts/Action';
import { figureLength } from '@/parts/figureLength';
import { ShareBar } from '@/parts/ShareBar';
import { Words } from '@/parts/Words';
import { useEvents } from '@/state/events';
import { useColours } from '@/theme/useTheme';
import { PlannedAndNow } from './PlannedAndNow';

interface Props {
  id: string;
  make: Make;
  mended: Mended;
  onTaken: () => void;
}

/** Planned, now, and the ways to go on beside each other. */
export function MendWays({ id, make, mended, onTaken }: Props) {
  const happened = useEvents((state) => state.happened);
  const [carryOn] = mended.choices;
  const take = ({ id: choice, from, plan }: MendChoice) => {
    happened(id, { kind: 'decided', choice, from, plan: asWritten(plan, make.plan) });
    onTaken();
  };
  return (
    <View style={{ gap: 12 }}>
      <PlannedAndNow mended={mended} carryOn={carryOn!} />
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 10 }}>
        {inOrder(mended.choices).map((choice) => (
          <WayOn key={choice.id} choice={choice} onTake={() => take(choice)} />
        ))}
      </View>
    </View>
  );
}

/** What is recommended first, the others as they are. */
const inOrder = (choices: readonly MendChoice[]): MendChoice[] =>
  [...choices].sort((a, b) => Number(b.recommended) - Number(a.recommended));

/** Without the words and units of whoever reads it here. */
function asWritten({ schools: _read, ...plan }: Plan, { schools }: Plan): Plan {
  return schools ? { ...plan, schools } : plan;
}

const SHOWS: Readonly<Record<MendChoice['shows'], string>> = {
  no: 'Nobody will see it.',
  inside: 'It shows on the inside.',
  outside: 'It shows on the outside.',
};

function WayOn({ choice, onTake }: { choice: MendChoice; onTake: () => void }) {
  const colours = useColours();
  const reader = useReader();
  const { title, why, recommended, chance, minutes, metres, outside, inside, shows } = choice;
  const view = reckonFor(choice.plan, reader).worked?.views.find(({ id }) => id === 'folded');
  const mm = (value: number) => figureLength(value, reader.units);
  return (
    <View
      role="group"
      aria-label={title}
      style={{
        flexGrow: 1,
        flexBasis: 150,
        backgroundColor: colours.surface,
        borderWidth: 1,
        borderColor: colours.line,
        borderTopWidth: 6,
        borderTopColor: recommended ? colours.tape : colours.line,
        padding: 10,
        gap: 4,
      }}
    >
      {recommended ? (
        <Words as="smallStrong" tone="lichen">
          Recommended
        </Words>
      ) : null}
      <Words as="strong">{title}</Words>
      {view ? <Drawing view={view} height={84} bare /> : null}
      <ShareBar share={chance} />
      <Words as="smallStrong">{`Fits ${Math.round(100 * chance)} times in 100`}</Words>
      <Words as="small">{`${mm(outside.width)} × ${mm(outside.height)}; inside ${mm(inside.girth)} around`}</Words>
      <Words as="small">{`about ${duration(minutes)} and ${roundedAmount(metres)} m to the end`}</Words>
      <Words as="small" tone="faint" style={{ flexGrow: 1 }}>
        {`${why} ${SHOWS[shows]}`}
      </Words>
      <View style={{ flexDirection: 'row', marginLeft: -4 }}>
        <Action label={`Do this: ${title}`} onPress={onTake}>
          Do this
        </Action>
      </View>
    </View>
  );
}
