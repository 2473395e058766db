import { hexOf, lightness, type Plan } from '@keep-snug/core';
import { View } from 'react-native';
import { Thread } from '@/ui/layout/Thread';
import { Words } from '@/ui/layout/Words';

/** Lightness in words, from dark to light. */
const STEPS = [
  { from: 80, word: 'very light' },
  { from: 62, word: 'light' },
  { from: 42, word: 'middling' },
  { from: 22, word: 'dark' },
  { from: 0, word: 'very dark' },
] as const;

const wordOf = (light: number): string => STEPS.find(({ from }) => light >= from)!.word;

/** The colours in the order of their lightness: how they tell apart without their hue. */
export function LightnessLine({ plan, names }: { plan: Plan; names: readonly string[] }) {
  const known = names
    .flatMap((name, number) => {
      const hex = hexOf(plan.palette, plan.fabric, name);
      return hex ? [{ name, hex, number, light: lightness(hex) }] : [];
    })
    .sort((a, b) => b.light - a.light);
  if (known.length < 2) return null;
  return (
    <View role="group" aria-label="How light the colours are" style={{ gap: 2 }}>
      <Words as="smallStrong">From light to dark</Words>
      {known.map(({ name, hex, number, light }) => (
        <View key={name} style={{ flexDirection: 'row', alignItems: 'center', columnGap: 10 }}>
          <View style={{ paddingLeft: `${Math.round((100 - light) * 0.45)}%` }}>
            <Thread hex={hex} number={number} />
          </View>
          <Words as="small">{`${name}: ${wordOf(light)}`}</Words>
        </View>
      ))}
    </View>
  );
}
