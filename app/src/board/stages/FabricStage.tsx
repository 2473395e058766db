import {
  STITCHES,
  stitchDefinition,
  stitchPattern,
  type FabricSpec,
  type Hand,
  type YarnSpec,
  countMeasures,
  fabricFromSwatch,
  handFrom,
  isOfAnotherStitch,
  plural,
  swatchOf,
  term,
  withStitch,
  withSwatch,
} from '@keep-snug/core';
import type { YarnRecord } from '@keep-snug/core/documents';
import { View } from 'react-native';
import { FieldRow } from '@/parts/FieldRow';
import { Action } from '@/parts/Action';
import { FigureLine } from '@/parts/FigureLine';
import { NumberField } from '@/parts/NumberField';
import { OptionFields } from '@/parts/OptionFields';
import { Pick } from '@/parts/Pick';
import { TextField } from '@/parts/TextField';
import { Words } from '@/parts/Words';
import { useLibrary, useShelf } from '@/state/library';
import { GaugeEditor } from '@/yarn/GaugeEditor';
import { useReader } from '../useWorked';
import { ColourFields } from './ColourFields';
import { OtherHooks } from './OtherHooks';
import type { Stage, StageProps } from './definition';

const NEW = '';

function Body({ plan, worked, faults, edit }: StageProps) {
  const { terms } = useReader();
  const { fabric } = plan;
  const yarns = useShelf('yarns');
  const swatches = useShelf('swatches');
  const add = useLibrary((state) => state.add);
  const set = (change: Partial<FabricSpec>) => edit((old) => ({ ...old, fabric: { ...old.fabric, ...change } }));
  const yarn = yarns.find(([, held]) => same(unweighed(held.body.yarn), unweighed(fabric.yarn)));
  const fitting = swatches.filter(
    ([, held]) => held.body.hookMm === fabric.hookMm && (!yarn || held.body.yarn === yarn[0]),
  );
  const swatch = swatches.find(([, held]) => same(withSwatch(fabric, held.body).gauge, fabric.gauge));
  const isOther = isOfAnotherStitch(fabric);
  // what was measured in another stitch informs the estimate, and gives way to the first measure in this one
  const gauge = isOther ? {} : (fabric.gauge ?? {});
  const measured = countMeasures(gauge) > 0;
  const hand = useHand(fabric.yarn);

  return (
    <View style={{ gap: 8 }}>
      <FieldRow>
        <Pick
          label="Yarn"
          value={yarn?.[0] ?? NEW}
          options={[...yarns.map(([id, held]) => ({ id, name: held.body.name })), { id: NEW, name: 'another yarn' }]}
          onChange={(id) => {
            const found = yarns.find(([key]) => key === id);
            set({ yarn: found ? fromBox(found[1].body) : { name: 'another yarn', metresPer100g: 200 } });
          }}
        />
      </FieldRow>
      <FieldRow>
        <NumberField
          label="In the house, grams"
          value={fabric.yarn.gramsLeft}
          min={0}
          max={100_000}
          help="To see whether it lasts."
          onChange={(gramsLeft) => set({ yarn: { ...fabric.yarn, gramsLeft } })}
          onClear={() => set({ yarn: unweighed(fabric.yarn) })}
        />
        <NumberField
          label="Strands held together"
          value={fabric.yarn.strands ?? 1}
          min={1}
          max={12}
          whole
          onChange={(strands) => set({ yarn: { ...fabric.yarn, strands } })}
        />
      </FieldRow>
      {yarn ? null : <YarnFields yarn={fabric.yarn} onChange={(next) => set({ yarn: next })} />}
      {yarn || !fabric.yarn.name?.trim() ? null : (
        <Action onPress={() => add('yarns', { name: fabric.yarn.name!.trim(), yarn: fabric.yarn })}>
          Keep it in the yarn box
        </Action>
      )}
      <FieldRow>
        <NumberField
          label="Hook"
          unit="mm"
          value={fabric.hookMm}
          min={0.5}
          max={40}
          onChange={(hookMm) => set({ hookMm })}
          help="The size in mm printed on it."
        />
      </FieldRow>
      {STITCHES.length > 1 ? (
        <FieldRow>
          <Pick
            label="Stitch"
            value={fabric.stitch}
            options={STITCHES.map(({ id, name }) => ({ id, name: name[terms] }))}
            onChange={(stitch) =>
              edit(({ picks: _picks, ...old }) => ({ ...old, fabric: withStitch(old.fabric, stitch) }))
            }
            hint={worked ? stitchPattern(fabric.stitch, fabric.pattern).summary : ''}
          />
        </FieldRow>
      ) : null}
      <OptionFields
        fields={stitchDefinition(fabric.stitch)!.options}
        values={fabric.pattern ?? {}}
        path="fabric.pattern"
        faults={faults}
        onChange={(key, value) => set({ pattern: { ...fabric.pattern, [key]: value } })}
      />
      {fitting.length > 0 ? (
        <FieldRow>
          <Pick
            label="Swatch"
            value={swatch?.[0] ?? NEW}
            options={[
              { id: NEW, name: measured ? 'as measured here' : 'none: estimate from yarn and hook' },
              ...fitting.map(([id, held]) => ({ id, name: held.body.name })),
            ]}
            onChange={(id) => {
              const found = swatches.find(([key]) => key === id);
              edit((old) => ({
                ...old,
                fabric: found ? withSwatch(old.fabric, found[1].body) : { ...old.fabric, gauge: {} },
              }));
            }}
          />
        </FieldRow>
      ) : null}
      {isOther ? (
        <Words as="small" tone="thread">
          {`The sizes below follow from your swatch in ${term(fabric.gauge!.stitch!, terms)}, by the usual proportion of the two.`}
        </Words>
      ) : null}
      <GaugeEditor round gauge={gauge} onChange={(next) => set({ gauge: next })} />
      <ColourFields colours={fabric.colours ?? []} onChange={(colours) => set({ colours })} />
      {measured || !hand ? null : (
        <Action onPress={() => set(fabric.hand ? { hand: undefined } : { hand })}>
          {fabric.hand ? 'Estimate without my own hand' : `Estimate by my own hand, ${handWords(hand)}`}
        </Action>
      )}
      {measured || isOther ? null : (
        <Words as="small" tone="thread">
          No swatch yet: the sizes below are estimates from yarn and hook. Ten rows of a swatch narrow them most.
        </Words>
      )}
      {yarn && measured && !swatch ? (
        <Action
          onPress={() =>
            add('swatches', {
              name: `${yarn[1].body.name} on ${fabric.hookMm} mm`,
              yarn: yarn[0],
              ...swatchOf(fabric),
            })
          }
        >
          Keep this swatch
        </Action>
      ) : null}
      {worked ? (
        <View>
          <FigureLine name="Stitch width" figure={worked.fabric.stitchWidth} />
          <FigureLine name="Row height" figure={worked.fabric.rowHeight} />
          <FigureLine name="A chain" figure={worked.fabric.chain} />
          <FigureLine name="Fabric thickness" figure={worked.fabric.thickness} />
          <FigureLine name="Cover" figure={worked.fabric.cover} />
          {faults.length === 0 ? <OtherHooks fabric={fabric} /> : null}
        </View>
      ) : null}
    </View>
  );
}

interface YarnFieldsProps {
  yarn: YarnSpec;
  onChange: (yarn: YarnSpec) => void;
}

function YarnFields({ yarn, onChange }: YarnFieldsProps) {
  return (
    <FieldRow>
      <TextField
        label="Yarn name"
        value={yarn.name ?? ''}
        onChange={(name) => onChange({ ...yarn, name: name.slice(0, 120) })}
      />
      <NumberField
        label="Metres per 100 g"
        value={yarn.metresPer100g}
        min={5}
        max={5000}
        help="Printed on the band."
        onChange={(metresPer100g) => onChange({ ...yarn, metresPer100g })}
      />
    </FieldRow>
  );
}

/** What there is of a yarn changes as it is used; the yarn stays the same one. */
function unweighed({ gramsLeft: _left, strands: _strands, ...yarn }: YarnSpec): YarnSpec {
  return yarn;
}

function fromBox({ yarn, gramsLeft }: YarnRecord): YarnSpec {
  return gramsLeft === undefined ? yarn : { ...yarn, gramsLeft };
}

/** The hand that the swatches in the box show: those of yarn of this category, else all. */
function useHand({ category }: YarnSpec): Hand | undefined {
  const yarns = useLibrary((state) => state.shelves.yarns);
  const swatches = useShelf('swatches');
  const fabrics = swatches.flatMap(([, { body }]) => {
    const yarn = yarns[body.yarn]?.body.yarn;
    return yarn ? [fabricFromSwatch(body, yarn)] : [];
  });
  const alike = fabrics.filter(({ yarn }) => yarn.category !== undefined && yarn.category === category);
  return handFrom(alike.length > 0 ? alike : fabrics);
}

function handWords({ width, makes }: Hand): string {
  const share = Math.round(Math.abs(100 * (width - 1)));
  const words = share === 0 ? 'as estimated' : `${share} % ${width < 1 ? 'tighter' : 'looser'}`;
  return `${words} over ${plural(makes, 'swatch', 'swatches')}`;
}

function same(a: unknown, b: unknown): boolean {
  return JSON.stringify(a) === JSON.stringify(b);
}

export const fabricStage: Stage = {
  id: 'fabric',
  name: 'Fabric',
  owns: ['fabric'],
  summary: ({ fabric }, worked, say) => {
    const isSwatched = countMeasures(fabric.gauge ?? {}) > 0 && !isOfAnotherStitch(fabric);
    const kind = isSwatched ? 'swatch' : 'estimate';
    const size = worked
      ? `; ${kind} ${say.number(worked.fabric.stitchWidth.value)} × ${say.length(worked.fabric.rowHeight.value)} a stitch`
      : '';
    return `${fabric.yarn.name ?? 'yarn'}, ${say.term(fabric.stitch)}, hook ${fabric.hookMm} mm${size}`;
  },
  Body,
};
