import { plural, roundedAmount, type Worked, duration, notionsText, yarnText } from '@keep-snug/core';
import { View } from 'react-native';
import { FigureLine } from '@/parts/FigureLine';
import { Words } from '@/parts/Words';

/** Yarn in all and by colour, whether it lasts, time, and what to have at hand. */
export function Supplies({ worked: { supplies } }: { worked: Worked }) {
  const { yarn, byColour, byYarn, time, notions } = supplies;
  return (
    <View role="group" aria-label="Supplies">
      <FigureLine name="Yarn" figure={yarn.metres} text={yarnText(supplies)} />
      {yarn.enough === null ? null : (
        <Words as="smallStrong" tone={yarn.enough > 0.9 ? 'lichen' : yarn.enough < 0.5 ? 'rowan' : 'thread'} live>
          {lastsText(yarn.enough)}
        </Words>
      )}
      {byColour.map(({ name, metres, grams, rows, enough }) => (
        <Words
          key={name}
          as="small"
        >{`${name}: about ${roundedAmount(metres)} m, ${roundedAmount(grams)} g, ${plural(rows, 'row')}${enough === null ? '' : `; lasts ${Math.round(100 * enough)} times in 100`}`}</Words>
      ))}
      {byYarn.map(({ name, metres, grams }) => (
        <Words key={name} as="small">{`${name}: about ${roundedAmount(metres)} m, ${roundedAmount(grams)} g`}</Words>
      ))}
      <FigureLine name="Time" figure={time} text={duration(time.value)} />
      <Words as="small" tone="faint">{`Materials: ${notionsText(notions)}.`}</Words>
    </View>
  );
}

/** Whether the yarn in the house lasts, in words and with the chance. */
export function lastsText(enough: number): string {
  const share = Math.round(100 * enough);
  if (enough > 0.9) return `You have enough yarn (${share} in 100).`;
  if (enough < 0.5) return `You do not have enough yarn (it lasts ${share} times in 100).`;
  return `It may just last (${share} times in 100).`;
}
