import { CATEGORIES, hookFor, onHook, yarnOf, type FabricSpec, type YarnSpec } from '@keep-snug/core';
import { View } from 'react-native';
import { useShelf } from '@/data/library';
import { useSettings } from '@/data/settings';
import { fabricIn, usualFabric } from '@/reading/newPlan';
import { useYarnInBox } from '@/reading/useYarnInBox';
import { FieldRow } from '@/ui/layout/FieldRow';
import { HookField } from '@/ui/fields/HookField';
import { Pick } from '@/ui/fields/Pick';

const OTHER = '';
const UNKNOWN = 'by its length';

interface Props {
  fabric: FabricSpec;
  onChange: (fabric: FabricSpec) => void;
}

/** The yarn and the hook: one of the box, or how thick another is; all else of them can be said on the board. */
export function StartYarn({ fabric, onChange }: Props) {
  const terms = useSettings((state) => state.terms);
  const yarns = useShelf('yarns');
  const yarn = yarnOf(fabric);
  const inBox = useYarnInBox(yarn);
  const thick = (category: number) => {
    const next: YarnSpec = { category };
    onChange({ ...fabricIn(next), hookMm: hookFor(next) });
  };
  return (
    <FieldRow>
      {yarns.length > 0 ? (
        <Pick
          label="Yarn"
          value={inBox?.id ?? OTHER}
          options={[...yarns.map(([id, { body }]) => ({ id, name: body.name })), { id: OTHER, name: 'another yarn' }]}
          onChange={(id) => {
            const found = yarns.find(([key]) => key === id);
            onChange(found ? fabricIn(found[1].body.yarn) : usualFabric());
          }}
        />
      ) : null}
      {inBox ? null : (
        <Pick
          label="How thick the yarn is"
          value={yarn.category === undefined ? UNKNOWN : String(yarn.category)}
          options={[
            ...(yarn.category === undefined ? [{ id: UNKNOWN, name: yarn.name ?? UNKNOWN }] : []),
            ...CATEGORIES.map(({ id, name }) => ({ id: String(id), name: `${name[terms]} (${id})` })),
          ]}
          onChange={(id) => thick(Number(id))}
        />
      )}
      <HookField value={fabric.hookMm} onChange={(hookMm) => onChange(onHook(fabric, hookMm))} />
      <View style={{ flexBasis: '100%' }} />
    </FieldRow>
  );
}
