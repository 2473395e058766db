import {
  askedField,
  formatLength,
  readStart,
  type FabricSpec,
  type LengthUnit,
  type Plan,
  type StartAsk,
  type StartDefinition,
  type Worked,
} from '@keep-snug/core';
import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { useSettings } from '@/data/settings';
import { NOTHING_SAID, useStartDrafts } from '@/data/startDraft';
import { Portrait } from '@/drawing/portrait/Portrait';
import { planOfStart, usualFabric } from '@/reading/newPlan';
import { useLastGood, useWorked } from '@/reading/useWorked';
import { useColours } from '@/theme/useTheme';
import { useWide } from '@/theme/useWide';
import { Action } from '@/ui/actions/Action';
import { Asked } from '@/ui/fields/Asked';
import { LengthLine } from '@/ui/fields/LengthLine';
import { SubmitProvider } from '@/ui/fields/submit';
import { TextField } from '@/ui/fields/TextField';
import { RoomBar } from '@/ui/layout/RoomBar';
import { ThumbBar } from '@/ui/layout/ThumbBar';
import { Title } from '@/ui/layout/Title';
import { Words } from '@/ui/layout/Words';
import { sketchOf } from './sketchOf';
import { StartYarn } from './StartYarn';

/** One cover: what has to be said for one's own and the yarn, and the drawing that follows as it is said. */
export function StartPage({ start }: { start: StartDefinition }) {
  const colours = useColours();
  const router = useRouter();
  const wide = useWide();
  const units = useSettings((state) => state.units);
  const draft = useStartDrafts((state) => state.byStart[start.id]) ?? NOTHING_SAID;
  const keep = useStartDrafts((state) => state.keep);
  const [usual] = useState(usualFabric);
  const [tried, setTried] = useState(false);
  const fabric = draft.fabric ?? usual;
  const { plan, faults } = useMemo(
    () => readStart(start, draft.texts, fabric, units),
    [start, draft.texts, fabric, units],
  );
  const said = (at: string, text: string) => keep(start.id, { ...draft, texts: { ...draft.texts, [at]: text } });
  const isWhole = Object.keys(faults).length === 0;
  const onward = () => {
    setTried(true);
    if (!isWhole) return;
    useStartDrafts.getState().clear(start.id);
    router.replace(`/plan/${planOfStart(plan)}`);
  };
  const go = (
    <Action main onPress={onward}>
      Plan it
    </Action>
  );
  const drawing = <Seen plan={plan} isWhole={isWhole} wide={wide} />;
  return (
    <View style={{ flex: 1, backgroundColor: colours.chalk }}>
      <RoomBar back={{ to: '/starts', name: 'what people make' }}>
        <Title style={STYLES.title}>{start.name}</Title>
      </RoomBar>
      <SubmitProvider value={onward}>
        <ScrollView role="main" contentContainerStyle={{ alignItems: 'center' }}>
          <View style={[STYLES.page, wide ? STYLES.beside : null]}>
            {wide ? null : drawing}
            <View style={wide ? STYLES.half : STYLES.whole}>
              <Asks start={start} texts={draft.texts} plan={plan} faults={faults} tried={tried} onSay={said} />
              <StartYarn fabric={fabric} onChange={(next: FabricSpec) => keep(start.id, { ...draft, fabric: next })} />
              {wide ? <View style={STYLES.onward}>{go}</View> : null}
            </View>
            {wide ? <View style={STYLES.half}>{drawing}</View> : null}
          </View>
        </ScrollView>
        {wide ? null : <ThumbBar>{go}</ThumbBar>}
      </SubmitProvider>
    </View>
  );
}

interface AsksProps {
  start: StartDefinition;
  texts: Readonly<Record<string, string>>;
  plan: Plan;
  faults: Readonly<Record<string, string>>;
  /** Whether what is missing is told as well. */
  tried: boolean;
  onSay: (at: string, text: string) => void;
}

/** What this cover asks, a line each. */
function Asks({ start, texts, plan, faults, tried, onSay }: AsksProps) {
  return start.asks.map((ask) => {
    const text = texts[ask.at] ?? '';
    const error = tried || text.trim() !== '' ? faults[ask.at] : undefined;
    return (
      <View key={ask.at} style={STYLES.ask}>
        <Asked {...sketchOf(ask.at, plan)} />
        <View style={STYLES.line}>
          <Line ask={ask} start={start} text={text} error={error} onText={(next) => onSay(ask.at, next)} />
        </View>
      </View>
    );
  });
}

interface LineProps {
  ask: StartAsk;
  start: StartDefinition;
  text: string;
  error: string | undefined;
  onText: (text: string) => void;
}

function Line({ ask, start, text, error, onText }: LineProps) {
  const units = useSettings((state) => state.units);
  if (ask.kind === 'sizes')
    return <TextField label={ask.label} value={text} onChange={onText} error={error} hint={ask.help} />;
  const { label, help = '', usual } = askedField(ask, start);
  return (
    <LengthLine
      label={label}
      text={text}
      onText={onText}
      mm={undefined}
      error={error}
      help={[help, oftenSo(ask, units)].filter(Boolean).join(' ')}
      usual={usual}
    />
  );
}

/** What stands for a size that is wished, until another is. */
const oftenSo = (ask: Extract<StartAsk, { kind: 'length' }>, units: LengthUnit): string =>
  ask.stands ? `${formatLength(ask.usualMm, units)} if you leave it empty.` : '';

/** The cover as far as it is known, folded, with what to make of it once all is said. */
function Seen({ plan, isWhole, wide }: { plan: Plan; isWhole: boolean; wide: boolean }) {
  const { worked, faults } = useWorked(plan);
  const shown = useLastGood(worked);
  if (!shown) return <Words tone="rowan">{faults[0]?.message ?? ''}</Words>;
  return (
    <View style={{ gap: 4 }}>
      <Portrait plan={plan} worked={shown} height={wide ? 360 : 176} />
      <Words as="small" tone={worked ? 'faint' : 'rowan'} live>
        {worked ? (isWhole ? madeOf(worked) : 'Drawn as one often is, until you say yours.') : faults[0]!.message}
      </Words>
    </View>
  );
}

const madeOf = ({ pieces }: Worked): string =>
  pieces.map(({ name, summary, times }) => `${name}${times > 1 ? ` (make ${times})` : ''}: ${summary}`).join('. ');

const STYLES = StyleSheet.create({
  title: { fontSize: 20, flex: 1 },
  page: { width: '100%', maxWidth: 960, padding: 20, gap: 14 },
  beside: { flexDirection: 'row', columnGap: 32 },
  half: { flex: 1, gap: 14 },
  whole: { gap: 14 },
  ask: { flexDirection: 'row', columnGap: 12 },
  line: { flex: 1, flexDirection: 'row', flexWrap: 'wrap', columnGap: 16, rowGap: 8 },
  onward: { alignItems: 'flex-start', paddingBottom: 24 },
});
