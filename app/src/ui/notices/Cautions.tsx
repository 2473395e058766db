import type { Caution, Plan } from '@keep-snug/core';
import { View } from 'react-native';
import { Action } from '@/ui/actions/Action';
import { Words } from '@/ui/layout/Words';
import { useColours } from '@/theme/useTheme';

interface Props {
  cautions: readonly Caution[];
  /** Sets one aside; left out where all are shown, as on the sheet. */
  edit?: (work: (plan: Plan) => Plan) => void;
}

/** Usual household cautions that apply, once, plainly. Set aside they leave the board, never the sheet. */
export function Cautions({ cautions, edit }: Props) {
  const colours = useColours();
  const shown = edit ? cautions.filter(({ setAside }) => !setAside) : cautions;
  const hidden = cautions.length - shown.length;
  if (cautions.length === 0) return null;
  return (
    <View
      role="group"
      aria-label="Cautions"
      style={{ gap: 8, borderTopWidth: 1, borderColor: colours.line, paddingTop: 8 }}
    >
      <Words as="strong" level={3}>
        Safety
      </Words>
      {shown.map(({ id, text }) => (
        <View key={id} style={{ borderLeftWidth: 4, borderColor: colours.tape, paddingLeft: 10 }}>
          <Words as="small">{text}</Words>
          {edit ? (
            <View style={{ flexDirection: 'row' }}>
              <Action label={`Hide here: ${text.slice(0, 40)}`} onPress={() => edit((plan) => withAside(plan, id))}>
                Hide here
              </Action>
            </View>
          ) : null}
        </View>
      ))}
      {edit && hidden > 0 ? (
        <View style={{ flexDirection: 'row' }}>
          <Action onPress={() => edit(({ setAside: _aside, ...plan }) => plan)}>{`Show ${hidden} hidden`}</Action>
        </View>
      ) : null}
      <Words as="small" tone="faint">
        Local rules, the equipment’s own instructions and qualified people come first.
      </Words>
    </View>
  );
}

function withAside(plan: Plan, id: string): Plan {
  return { ...plan, setAside: [...(plan.setAside ?? []), id] };
}
