import type { Worked } from '@keep-snug/core';
import { newTo } from '@keep-snug/core/techniques';
import { View } from 'react-native';
import { useTechniqueTrail } from '@/data/techniqueTrail';
import { useKnownTechniques } from '@/reading/useKnownTechniques';
import { useWord } from '@/reading/useWord';
import { useReader } from '@/reading/useWorked';
import { Action } from '@/ui/actions/Action';
import { Words } from '@/ui/layout/Words';

/** What of this plan nobody here has ticked yet and can be tried on a swatch: each opens how it is done, and its practice piece. */
export function NewToYou({ worked }: { worked: Worked }) {
  const { terms } = useReader();
  const known = useKnownTechniques();
  const word = useWord();
  const show = useTechniqueTrail((state) => state.show);
  if (!known) return null;
  const found = newTo(
    worked.steps.map(({ text }) => text),
    known,
    terms,
  );
  if (found.length === 0) return null;
  return (
    <View role="group" aria-label="New to you">
      <Words as="smallStrong">New to you: look, or practise it first</Words>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: 16 }}>
        {found.map(({ id, name }) => (
          <Action key={id} onPress={() => show(id)}>
            {word(name)}
          </Action>
        ))}
      </View>
    </View>
  );
}
