import { roundedAmount, type MendChoice, type Plan, duration, timesInHundred } from '@keep-snug/core';
import { View } from 'react-native';
import { reckonFor, useReader } from '@/reading/useWorked';
import { Drawing } from '@/drawing/Drawing';
import { Action } from '@/ui/actions/Action';
import { figureLength } from '@/ui/lists/figureLength';
import { ShareBar } from '@/ui/lists/ShareBar';
import { Words } from '@/ui/layout/Words';
import { useColours } from '@/theme/useTheme';

interface Props {
  choices: readonly MendChoice[];
  onTake: (choice: MendChoice) => void;
}

/** Ways to go on, side by side as small true drawings with what each costs. */
export function WaysOn({ choices, onTake }: Props) {
  return (
    <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 10 }}>
      {inOrder(choices).map((choice) => (
        <WayOn key={choice.id} choice={choice} onTake={() => onTake(choice)} />
      ))}
    </View>
  );
}

/** What is recommended first, the others as they are. */
const inOrder = (choices: readonly MendChoice[]): MendChoice[] =>
  [...choices].sort((a, b) => Number(b.recommended) - Number(a.recommended));

/** Without the words and units of whoever reads it here. */
export function asWritten({ schools: _read, ...plan }: Plan, { schools }: Plan): Plan {
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
      <Words as="smallStrong">{`Fits ${timesInHundred(chance)}`}</Words>
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
