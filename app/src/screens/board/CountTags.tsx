import { capital, formatKnown, formatSigned, type Choice, type ChoiceOption } from '@keep-snug/core';
import { View } from 'react-native';
import Svg, { Circle, Path } from 'react-native-svg';
import { Press } from '@/ui/actions/Press';
import { useBox } from '@/ui/layout/useBox';
import { useRadios, type RadioKeys } from '@/ui/fields/useRadios';
import { Words } from '@/ui/layout/Words';
import { useSettings } from '@/data/settings';
import { useColours } from '@/theme/useTheme';

interface Props {
  choice: Choice;
  /** The fabric's sizes are estimates: so is what is said of the counts. */
  estimate: boolean;
  onPick: (count: number) => void;
}

/** One less, best, one more: paper tags on a thread, each with what it measures and what that does to the ease. */
export function CountTags({ choice, estimate, onPick }: Props) {
  const keysOf = useRadios(
    choice.options.map(({ count }) => count),
    choice.options.find(({ chosen }) => chosen)?.count,
    onPick,
  );
  return (
    <View style={{ gap: 4 }}>
      <Words as="smallStrong">{`${capital(choice.noun)}: size and ease of each count`}</Words>
      <View
        role="radiogroup"
        aria-label={`${choice.name}, in ${choice.noun}`}
        style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}
      >
        {choice.options.map((option) => (
          <Tag
            key={option.count}
            option={option}
            noun={choice.noun}
            estimate={estimate}
            keys={keysOf(option.count)}
            onPick={() => onPick(option.count)}
          />
        ))}
      </View>
    </View>
  );
}

/** Nothing is asserted from an estimate. */
const GUESSES = { best: 'best guess', tight: 'tighter', fits: 'near', loose: 'looser' } as const;

const VERDICTS = { tight: 'too tight', fits: 'fits', loose: 'too loose' } as const;

interface TagProps {
  option: ChoiceOption;
  estimate: boolean;
  noun: string;
  keys: RadioKeys;
  onPick: () => void;
}

function Tag({ option, estimate, noun, keys, onPick }: TagProps) {
  const units = useSettings((state) => state.units);
  const { count, mm, easeShare, verdict, best, chosen } = option;
  const tone = chosen ? 'chalk' : 'ink';
  const words = estimate ? GUESSES[best ? 'best' : verdict] : `${best ? 'best, ' : ''}${VERDICTS[verdict]}`;
  const size = formatKnown(mm, undefined, units);
  const ease = `${formatSigned(100 * easeShare, 0)} % ease`;
  return (
    <Press
      role="radio"
      selected={chosen}
      keys={keys}
      onPress={onPick}
      label={`${count} ${noun}, ${size}, ${ease}, ${words}`}
      style={{ flexGrow: 1, flexBasis: 92, paddingVertical: 8, paddingLeft: 22, paddingRight: 4 }}
    >
      <Paper chosen={chosen} />
      <Words as="title" tone={tone}>
        {count}
      </Words>
      <Words as="small" tone={tone}>
        {size}
      </Words>
      <Words as="small" tone={tone}>
        {`${formatSigned(100 * easeShare, 0)} %`}
      </Words>
      <Words as="smallStrong" tone={chosen ? 'chalk' : estimate ? 'thread' : verdict === 'fits' ? 'lichen' : 'rowan'}>
        {words}
      </Words>
    </Press>
  );
}

const POINT = 12;

/** The tag itself, cut to a point at its thread hole. */
function Paper({ chosen }: { chosen: boolean }) {
  const colours = useColours();
  const { box, onLayout } = useBox();
  const { width: w, height: h } = box;
  return (
    <View onLayout={onLayout} style={{ position: 'absolute', top: 0, bottom: 0, left: 0, right: 0 }}>
      {w > 0 ? (
        <Svg width={w} height={h} aria-hidden>
          <Path
            d={`M1 ${h * 0.32}L${POINT} 1H${w - 1}V${h - 1}H${POINT}L1 ${h * 0.68}z`}
            fill={chosen ? colours.ink : colours.surface}
            stroke={chosen ? colours.ink : colours.faint}
          />
          <Circle cx={POINT} cy={h / 2} r={3.5} fill={colours.chalk} stroke={colours.faint} />
        </Svg>
      ) : null}
    </View>
  );
}
