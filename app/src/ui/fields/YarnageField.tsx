import { formatYarnage, parseYarnage, withUnit, type Yarnage, type YarnSpec } from '@keep-snug/core';
import { TextField } from './TextField';
import { useTyped } from './useTyped';

interface Props {
  yarn: YarnSpec;
  onChange: (said: Yarnage) => void;
  onClear: () => void;
}

/** What the schema of a yarn takes, m to 100 g and g a ball. */
const LIMITS = { metres: { min: 5, max: 5000 }, ball: { min: 1, max: 5000 } } as const;

function faultOf(text: string): string | undefined {
  if (text.trim() === '') return undefined;
  const read = parseYarnage(text);
  if (!read.ok) return read.message;
  const { metresPer100g, ballGrams } = read.value;
  const { metres, ball } = LIMITS;
  const say = formatYarnage;
  if (metresPer100g < metres.min) return `${say(metresPer100g)} is too little. The least is ${say(metres.min)}.`;
  if (metresPer100g > metres.max) return `${say(metresPer100g)} is too much. The most is ${say(metres.max)}.`;
  if (ballGrams !== undefined && (ballGrams < ball.min || ballGrams > ball.max))
    return `A ball of ${withUnit(ballGrams, 'g', 1)}? Write one from ${ball.min} g to ${ball.max} g.`;
  return undefined;
}

/** How long the yarn is for its weight, as its label says it: 85 m / 50 g, or 93 yd per 50 g. The ball's weight comes with it. */
export function YarnageField({ yarn, onChange, onClear }: Props) {
  const { metresPer100g, ballGrams } = yarn;
  const { line, error, type, leave } = useTyped({
    shown: metresPer100g === undefined ? '' : withUnit(metresPer100g, 'm / 100 g', 1),
    value: metresPer100g === undefined ? undefined : { metresPer100g, ...(ballGrams ? { ballGrams } : {}) },
    wrong: faultOf,
    take: (text) => {
      const read = parseYarnage(text);
      if (read.ok) onChange(read.value);
      else onClear();
    },
    back: (old) => (old ? onChange(old) : onClear()),
  });
  const read = parseYarnage(line);
  const says =
    read.ok && !/^[\d.,]+ m \/ 100 g$/.test(line) ? `= ${formatYarnage(read.value.metresPer100g)}` : undefined;
  return (
    <TextField
      label="Length on the label"
      value={line}
      onChange={type}
      onBlur={leave}
      error={error}
      hint={says ?? 'Such as 85 m / 50 g, or 93 yd per 50 g.'}
    />
  );
}
