import { formatLength, mixedUp, parseLength, wordLengths } from '@keep-snug/core';
import { View } from 'react-native';
import { Action } from '@/ui/actions/Action';
import { Notice } from '@/ui/notices/Notice';
import { Words } from '@/ui/layout/Words';
import { useSettings } from '@/data/settings';
import { useThingDraft } from './ThingForm';

interface Props {
  /** Where the thing stands in the form: nothing, or `members.1.`. */
  at: string;
  /** The two measures of one circle. */
  keys: { across: string; round: string };
}

/** A number for a round thing may be one across or one round: shows the other at once, and questions an odd one. */
export function AcrossOrRound({ at, keys }: Props) {
  const units = useSettings((state) => state.units);
  const { textAt, setText } = useThingDraft();
  const typed = (way: 'across' | 'round') => textAt(`${at}texts.${keys[way]}`);
  const across = parseLength(typed('across'), units);
  const round = parseLength(typed('round'), units);
  const [given, other] = round.ok ? (['round', 'across'] as const) : (['across', 'round'] as const);
  const parsed = round.ok ? round : across;
  if (!parsed.ok || parsed.mm <= 0) return null;
  const doubt = mixedUp(parsed.mm, given);
  const say = (mm: number) => formatLength(mm, units);
  const move = () => {
    setText(`${at}texts.${keys[other]}`, typed(given));
    setText(`${at}texts.${keys[given]}`, '');
  };
  return (
    <View style={{ gap: 6 }}>
      <Words as="small" tone="faint">
        {given === 'round'
          ? `${say(parsed.mm)} around is ${say(parsed.mm / Math.PI)} in diameter.`
          : `A diameter of ${say(parsed.mm)} is ${say(parsed.mm * Math.PI)} around.`}
      </Words>
      {doubt ? (
        <Notice tone="thread" word="Diameter or around?" text={wordLengths(doubt.text, units)}>
          <Action onPress={move}>{other === 'round' ? 'It is the circumference' : 'It is the diameter'}</Action>
        </Notice>
      ) : null}
    </View>
  );
}
