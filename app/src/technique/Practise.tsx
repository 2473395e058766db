import { FIRST_FABRIC, MAKE_FORMAT, practicePlan, term, type FabricSpec, type Make } from '@keep-snug/core';
import { canBePractised, type Technique } from '@keep-snug/core/techniques';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { Action } from '@/ui/actions/Action';
import { FieldRow } from '@/ui/layout/FieldRow';
import { HookField } from '@/ui/fields/HookField';
import { Pick } from '@/ui/fields/Pick';
import { useSchools } from '@/reading/useSchools';
import { useWord } from '@/reading/useWord';
import { newId } from '@/platform/ids';
import { useLibrary, useShelf } from '@/data/library';
import { useTechniqueTrail } from '@/data/techniqueTrail';

const FIRST = 'first';

const PLAIN = 'single';

/** A swatch in this stitch, counted row by row and measured at its end: learning and gauge in one. */
export function Practise({ technique }: { technique: Technique }) {
  const { stitch, practice } = technique;
  const word = useWord();
  const { terms } = useSchools();
  const router = useRouter();
  const close = useTechniqueTrail((state) => state.close);
  const add = useLibrary((state) => state.add);
  const yarns = useShelf('yarns');
  const [open, setOpen] = useState(false);
  const [yarn, setYarn] = useState(yarns[0]?.[0] ?? FIRST);
  const [hookMm, setHook] = useState(FIRST_FABRIC.hookMm);
  // what is the maker's own, or cannot be known without a swatch, has no rows to practise
  if (!canBePractised(technique)) return null;
  const start = () => {
    const chosen = yarns.find(([id]) => id === yarn)?.[1].body.yarn ?? FIRST_FABRIC.yarn!;
    // an edging is practised around plain rows
    const rows = practice || !stitch ? PLAIN : stitch;
    const fabric: FabricSpec = { stitch: rows, hookMm, yarn: chosen };
    const plan = practicePlan(fabric, practice ? word(technique.name) : term(rows, terms), practice);
    const make: Make = {
      format: MAKE_FORMAT,
      title: plan.title,
      // no plan lies behind it: it is begun from the stitch
      planId: newId(),
      plan,
      startedAt: new Date().toISOString(),
    };
    const id = add('makes', make);
    close();
    router.navigate(`/make/${id}`);
  };
  if (!open)
    return (
      <View style={{ flexDirection: 'row' }}>
        <Action onPress={() => setOpen(true)}>Practise it on a swatch</Action>
      </View>
    );
  return (
    <View role="group" aria-label="Practice swatch" style={{ gap: 6 }}>
      <FieldRow>
        <Pick
          label="Yarn"
          value={yarn}
          options={[
            ...yarns.map(([id, { body }]) => ({ id, name: body.name })),
            { id: FIRST, name: FIRST_FABRIC.yarn!.name! },
          ]}
          onChange={setYarn}
        />
        <HookField value={hookMm} onChange={setHook} />
      </FieldRow>
      <Action main onPress={start}>
        Start the swatch
      </Action>
    </View>
  );
}
