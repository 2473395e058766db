import { capital } from '@keep-snug/core';
import { techniqueOf } from '@keep-snug/core/techniques';
import { View } from 'react-native';
import { Action } from '@/ui/actions/Action';
import { Panel } from '@/ui/layout/Panel';
import { useWord } from '@/reading/useWord';
import { useTechniqueTrail } from '@/data/techniqueTrail';
import { TechniqueView } from './TechniqueView';

/** What was opened from a word, beside the work; and on from there, and back. */
export function TechniquePanel() {
  const { trail, back, close } = useTechniqueTrail();
  const word = useWord();
  const technique = techniqueOf(trail.at(-1) ?? '');
  if (!technique) return null;
  const before = techniqueOf(trail.at(-2) ?? '');
  const named = (name: string) => capital(word(name));
  return (
    <Panel title={named(technique.name)} onClose={close}>
      {before ? (
        <View style={{ flexDirection: 'row' }}>
          <Action onPress={back}>{`Back to ${named(before.name)}`}</Action>
        </View>
      ) : null}
      <TechniqueView key={technique.id} technique={technique} />
    </Panel>
  );
}
