import {
  duration,
  type LengthUnit,
  notionsText,
  plural,
  roundedAmount,
  type Worked,
  yarnText,
  timesInHundred,
} from '@keep-snug/core';
import { View } from 'react-native';
import { FigureLine } from '@/ui/lists/FigureLine';
import { figureLength } from '@/ui/lists/figureLength';
import { Words } from '@/ui/layout/Words';
import { useSettings } from '@/data/settings';

/** Yarn in all and by colour, whether it lasts, time, and what to have at hand. */
export function Supplies({ worked: { supplies, outside } }: { worked: Worked }) {
  const units = useSettings((state) => state.units);
  const { yarn, byColour, byYarn, time, notions } = supplies;
  return (
    <View role="group" aria-label="Supplies">
      <FigureLine name="Yarn" figure={yarn.metres} text={yarnText(supplies)} />
      {yarn.enough === null ? null : (
        <Words as="smallStrong" tone={yarn.enough > 0.9 ? 'lichen' : yarn.enough < 0.5 ? 'rowan' : 'thread'} live>
          {lastsText(yarn.enough)}
        </Words>
      )}
      {yarn.reach === null ? null : <Words as="small">{reachText(yarn.reach, outside, units)}</Words>}
      {byColour.map(({ name, metres, grams, rows, enough }) => (
        <Words
          key={name}
          as="small"
        >{`${name}: about ${roundedAmount(metres)} m, ${roundedAmount(grams)} g, ${plural(rows, 'row')}${enough === null ? '' : `; lasts ${timesInHundred(enough)}`}`}</Words>
      ))}
      {byYarn.map(({ name, metres, grams }) => (
        <Words key={name} as="small">{`${name}: about ${roundedAmount(metres)} m, ${roundedAmount(grams)} g`}</Words>
      ))}
      <FigureLine name="Time" figure={time} text={duration(time.value)} />
      <Words as="small" tone="faint">{`Materials: ${notionsText(notions)}.`}</Words>
    </View>
  );
}

/** More than a hundred of them is more than anyone makes. */
const MANY = 100;

/** What else the yarn in the house is enough for: how many of these, or how large a one, as yarn goes with the area. */
export function reachText(times: number, { width, height }: Worked['outside'], units: LengthUnit): string {
  const many = Math.floor(times);
  const larger = Math.sqrt(times);
  const size = [width, height].map(({ value }) => figureLength(value * larger, units)).join(' × ');
  const single = `one of ${size}`;
  if (many > MANY) return `It makes more than ${MANY} of these, 9 times in 10.`;
  if (many < 1) return `It makes ${single}, 9 times in 10.`;
  return `It makes ${many} of these, or ${single}, 9 times in 10.`;
}

/** Whether the yarn in the house lasts, in words and with the chance. */
export function lastsText(enough: number): string {
  const share = Math.round(100 * enough);
  if (enough > 0.9) return `You have enough yarn (${share} in 100).`;
  if (enough < 0.5) return `You do not have enough yarn (it lasts ${timesInHundred(enough)}).`;
  return `It may just last (${timesInHundred(enough)}).`;
}
