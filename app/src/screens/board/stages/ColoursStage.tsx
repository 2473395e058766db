import { namedColours, usualHex, type FabricSpec, type Plan } from '@keep-snug/core';
import { View } from 'react-native';
import { FieldRow } from '@/ui/layout/FieldRow';
import { Words } from '@/ui/layout/Words';
import { LightnessLine } from './LightnessLine';
import { LookField } from './LookField';
import { PartColours } from './PartColours';
import { ScrapsPart } from './ScrapsPart';
import { StripesPart } from './StripesPart';
import type { Stage, StageProps } from './definition';

function Body({ plan, worked, faults, edit }: StageProps) {
  const names = namedColours(plan);
  const setFabric = (work: (fabric: FabricSpec) => FabricSpec) => edit((old) => ({ ...old, fabric: work(old.fabric) }));
  return (
    <View style={{ gap: 12 }}>
      <StripesPart fabric={plan.fabric} faults={faults} set={setFabric} />
      <PartColours plan={plan} worked={worked} edit={edit} />
      <Words as="smallStrong">How the colours look</Words>
      <FieldRow>
        {names.map((name, number) => (
          <LookField
            key={name}
            plan={plan}
            name={name}
            number={number}
            onChange={(hex) => edit((old) => withLook(old, name, hex))}
            onLeft={names.length > 1 ? (grams, hex) => edit((old) => withLeft(old, name, grams, hex)) : undefined}
          />
        ))}
      </FieldRow>
      <LightnessLine plan={plan} names={names} />
      {worked?.advice
        .filter(({ at }) => at === 'palette')
        .map(({ text, repair }) => (
          <Words key={text} as="small" tone="thread">
            {`${text} ${repair}`}
          </Words>
        ))}
      <ScrapsPart
        plan={plan}
        onChange={(scraps) =>
          setFabric(({ scraps: _before, ...old }) => (scraps.length > 0 ? { ...old, scraps } : old))
        }
      />
    </View>
  );
}

/** A colour’s look said anew, or no longer. */
function withLook({ palette = {}, ...plan }: Plan, name: string, hex: string | undefined): Plan {
  const { [name]: before, ...others } = palette;
  if (hex) return { ...plan, palette: { ...others, [name]: { ...before, hex } } };
  // what there is of it stays known
  if (before?.gramsLeft !== undefined)
    return { ...plan, palette: { ...others, [name]: { ...before, hex: usualHex(name) ?? before.hex } } };
  return Object.keys(others).length > 0 ? { ...plan, palette: others } : plan;
}

/** How much there is of a colour; it looks as it did. */
function withLeft({ palette = {}, ...plan }: Plan, name: string, grams: number | undefined, hex: string): Plan {
  const { gramsLeft: _before, ...look } = palette[name] ?? { hex };
  return { ...plan, palette: { ...palette, [name]: grams === undefined ? look : { ...look, gramsLeft: grams } } };
}

export const coloursStage: Stage = {
  id: 'colours',
  name: 'Colours',
  owns: ['palette', 'fabric.colours', 'fabric.sequence', 'fabric.pieceColours', 'fabric.tails', 'fabric.scraps'],
  summary: (plan) => {
    const names = namedColours(plan);
    const scraps = plan.fabric.scraps?.length ? `; from ${plan.fabric.scraps.length} scraps` : '';
    return `${names.join(', ')}${scraps}`;
  },
  Body,
};
