import { formatNumber, type Figure, type Term } from '@keep-snug/core';
import { View } from 'react-native';
import { useWorkingsTrail } from '@/data/workingsTrail';
import { useSettings } from '@/data/settings';
import { useColours } from '@/theme/useTheme';
import { Action } from '@/ui/actions/Action';
import { KIND_WORDS, valueText } from '@/ui/lists/figureText';
import { Panel } from '@/ui/layout/Panel';
import { Press } from '@/ui/actions/Press';
import { termName } from './termNames';
import { Words } from '@/ui/layout/Words';

/** The workings of the figure that was pressed: formula, values, where each came from, how sure; and on into its terms. */
export function WorkingsPanel() {
  const colours = useColours();
  const units = useSettings((state) => state.units);
  const { trail, into, back, close } = useWorkingsTrail();
  const asked = trail.at(-1);
  if (!asked) return null;
  const { name, figure } = asked;
  const { workings, kind } = figure;
  const before = trail.at(-2);
  return (
    <Panel title={termName(name)} onClose={close}>
      {before ? (
        <View style={{ flexDirection: 'row' }}>
          <Action onPress={back}>{`Back to ${before.name}`}</Action>
        </View>
      ) : null}
      <Words as="title">{valueText(figure.value, figure.unit, units)}</Words>
      <Spread figure={figure} />
      <View style={{ borderLeftWidth: 4, borderColor: colours.tape, paddingLeft: 12, gap: 2 }}>
        <Words as="smallStrong">{workings.terms.length > 0 ? 'Formula' : 'Where from'}</Words>
        <Words as="strong">{workings.formula}</Words>
      </View>
      {workings.terms.map((term) => (
        <TermLine key={`${term.name} ${term.value}`} term={term} onInto={() => into(term)} />
      ))}
      <Words as="small" tone="thread">{`${KIND_WORDS[kind].word}: ${KIND_WORDS[kind].says}`}</Words>
    </Panel>
  );
}

function Spread({ figure: { sd, unit, value } }: { figure: Figure }) {
  const units = useSettings((state) => state.units);
  if (!sd) return null;
  const share = value === 0 ? '' : ` (${formatNumber((100 * sd) / Math.abs(value))} %)`;
  return <Words>{`give or take ${valueText(sd, unit, units)}${share}: two times in three it is within that`}</Words>;
}

/** A term with its value and where it came from; one that was reckoned opens its own workings. */
function TermLine({ term, onInto }: { term: Term; onInto: () => void }) {
  const colours = useColours();
  const units = useSettings((state) => state.units);
  const shown = valueText(term.value, term.unit, units);
  const body = (
    <View style={{ flexDirection: 'row', justifyContent: 'space-between', gap: 12 }}>
      <View style={{ flexShrink: 1 }}>
        <Words as="strong">{termName(term.name)}</Words>
        <Words as="small" tone="faint">
          {`${term.from}${term.sd ? `, ± ${valueText(term.sd, term.unit, units)}` : ''}`}
        </Words>
      </View>
      <Words as="strong" tone={term.workings ? 'sea' : 'ink'}>
        {shown}
      </Words>
    </View>
  );
  const style = { borderTopWidth: 1, borderColor: colours.line, paddingTop: 8, paddingBottom: 4 };
  if (!term.workings) return <View style={style}>{body}</View>;
  return (
    <Press onPress={onInto} label={`${term.name}: ${shown}. Its workings`} style={style}>
      {body}
    </Press>
  );
}
