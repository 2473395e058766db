import { formatLength, mixedUp, parseLength } from '@keep-snug/core';
import { View } from 'react-native';
import { Action } from '@/parts/Action';
import { Notice } from '@/parts/Notice';
import { Words } from '@/parts/Words';
import { useSettings } from '@/state/settings';
import { lineName } from './readDraft';
import { useThingDraft } from './ThingForm';

/** A number for a round thing may be one across or one round: shows the other at once, and questions an odd one. */
export function AcrossOrRound({ prefix }: { prefix: string }) {
  const units = useSettings((state) => state.units);
  const { form, draft } = useThingDraft();
  const line = (key: string) => lineName(`${prefix}${key}`);
  const typed = (key: string) => draft.texts[line(key)] ?? '';
  const across = parseLength(typed('diameter'), units);
  const round = parseLength(typed('girth'), units);
  const given = round.ok ? ('round' as const) : ('across' as const);
  const parsed = round.ok ? round : across;
  if (!parsed.ok || parsed.mm <= 0) return null;
  const doubt = mixedUp(parsed.mm, given);
  const say = (mm: number) => formatLength(mm, units);
  const [from, to] = given === 'round' ? (['girth', 'diameter'] as const) : (['diameter', 'girth'] as const);
  const move = () => {
    form.setValue(`texts.${line(to)}`, typed(from));
    form.setValue(`texts.${line(from)}`, '');
  };
  return (
    <View style={{ gap: 6 }}>
      <Words as="small" tone="faint">
        {given === 'round'
          ? `${say(parsed.mm)} round is ${say(parsed.mm / Math.PI)} across.`
          : `${say(parsed.mm)} across is ${say(parsed.mm * Math.PI)} round.`}
      </Words>
      {doubt ? (
        <Notice tone="thread" word="Across or round?" text={doubt.text}>
          <Action onPress={move}>{`It is ${given === 'round' ? 'across' : 'round'}`}</Action>
        </Notice>
      ) : null}
    </View>
  );
}
