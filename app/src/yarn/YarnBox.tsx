import {
  fabricFromSwatch,
  fabricIfMeasured,
  formatLength,
  formatNumber,
  STITCHES,
  term,
  type LengthUnit,
  type WorkedFabric,
  isBlank,
  upTo,
} from '@keep-snug/core';
import type { SwatchRecord, YarnRecord } from '@keep-snug/core/documents';
import { View } from 'react-native';
import { Clash } from '@/parts/Clash';
import { EmptyPlace } from '@/parts/EmptyPlace';
import { FieldRow } from '@/parts/FieldRow';
import { Action } from '@/parts/Action';
import { NumberField } from '@/parts/NumberField';
import { Page } from '@/parts/Page';
import { Pick } from '@/parts/Pick';
import { TextField } from '@/parts/TextField';
import { FigureLine } from '@/parts/FigureLine';
import { Words } from '@/parts/Words';
import { WorkingsPanel } from '@/parts/WorkingsPanel';
import { useDeleting } from '@/state/deleting';
import { useLibrary, useShelf, type LocalDocument } from '@/state/library';
import { useSettings } from '@/state/settings';
import { useColours } from '@/theme/useTheme';
import { useState } from 'react';
import { GaugeChart } from './GaugeChart';
import { GaugeEditor } from './GaugeEditor';
import { SampleSwatch } from './SampleSwatch';

/** Yarns with what is left, and the swatches worked in them. */
export function YarnBox() {
  const yarns = useShelf('yarns');
  const swatches = useShelf('swatches');
  const addYarn = () =>
    void useLibrary.getState().add('yarns', { name: 'new yarn', yarn: { name: 'new yarn', metresPer100g: 200 } });
  return (
    <Page
      title="Yarn box"
      actions={
        <Action main onPress={addYarn}>
          Add a yarn
        </Action>
      }
    >
      {yarns.length === 0 ? (
        <EmptyPlace
          title="No yarn in the box"
          text="Add one with the metres its band names. A swatch of it sizes everything you make in it."
          action={{ name: 'Add the first yarn', do: addYarn }}
        >
          <SampleSwatch />
        </EmptyPlace>
      ) : null}
      {yarns.map(([id, held]) => (
        <Yarn key={id} id={id} held={held} swatches={swatches.filter(([, swatch]) => swatch.body.yarn === id)} />
      ))}
      <WorkingsPanel />
    </Page>
  );
}

interface YarnProps {
  id: string;
  held: LocalDocument<YarnRecord>;
  swatches: [string, LocalDocument<SwatchRecord>][];
}

function Yarn({ id, held, swatches }: YarnProps) {
  const { body } = held;
  const colours = useColours();
  const [open, setOpen] = useState(false);
  const { add, change } = useLibrary.getState();
  const { remove } = useDeleting.getState();
  const { yarn } = body;
  const facts = [
    yarn.metresPer100g ? `${formatNumber(yarn.metresPer100g)} m in 100 g` : null,
    yarn.category === undefined ? null : `category ${yarn.category}`,
    yarn.fibre,
    body.gramsLeft === undefined ? null : `${formatNumber(body.gramsLeft)} g left`,
  ].filter(Boolean);
  const name = (next: string) =>
    change('yarns', id, {
      ...body,
      name: isBlank(next) ? 'yarn' : upTo(next, 120),
      yarn: { ...yarn, name: upTo(next, 120) },
    });
  return (
    <View
      role="group"
      aria-label={body.name}
      style={{ backgroundColor: colours.surface, borderWidth: 1, borderColor: colours.line, padding: 16, gap: 10 }}
    >
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', columnGap: 16 }}>
        <View style={{ flexGrow: 1, flexShrink: 1, flexBasis: 240 }}>
          <Words as="heading" level={2}>
            {body.name}
          </Words>
          <Words tone="faint">{facts.join(', ')}</Words>
        </View>
        <View style={{ flexDirection: 'row', columnGap: 16 }}>
          <Action label={`${open ? 'Close' : 'Change'}: ${body.name}`} onPress={() => setOpen(!open)}>
            {open ? 'Close' : 'Change'}
          </Action>
          <Action label={`Delete: ${body.name}`} onPress={() => remove('yarns', id, body.name)}>
            Delete
          </Action>
        </View>
      </View>
      {open ? (
        <FieldRow>
          <TextField label="Yarn name" value={yarn.name ?? body.name} onChange={name} />
          <NumberField
            label="Metres per 100 g"
            value={yarn.metresPer100g}
            min={5}
            max={5000}
            onChange={(metresPer100g) => change('yarns', id, { ...body, yarn: { ...yarn, metresPer100g } })}
          />
          <NumberField
            label="Left, in grams"
            value={body.gramsLeft}
            min={0}
            max={100_000}
            onChange={(gramsLeft) => change('yarns', id, { ...body, gramsLeft })}
          />
        </FieldRow>
      ) : null}
      <Clash kind="yarns" id={id} held={held} />
      <GaugeChart yarn={body} swatches={swatches.map(([, swatch]) => swatch.body)} />
      {swatches.map(([key, swatch]) => (
        <Swatch key={key} id={key} held={swatch} yarn={body} />
      ))}
      <View style={{ flexDirection: 'row' }}>
        <Action
          label={`Add a swatch of ${body.name}`}
          onPress={() =>
            add('swatches', {
              name: `${body.name} on 4 mm`,
              yarn: id,
              stitch: 'single',
              hookMm: 4,
              gauge: {},
            })
          }
        >
          Add a swatch
        </Action>
      </View>
    </View>
  );
}

/** The stitch as measured, and the hand that it shows. */
function handIn({ stitchWidth, estimate }: WorkedFabric, units: LengthUnit): string {
  const against = stitchWidth.value / estimate.stitchWidth.value - 1;
  const share = formatNumber(Math.abs(100 * against), 0);
  return `${formatLength(stitchWidth.value, units)} a stitch, ${share} % ${against < 0 ? 'tighter' : 'looser'} than the estimate`;
}

function Swatch({ id, held, yarn }: { id: string; held: LocalDocument<SwatchRecord>; yarn: YarnRecord }) {
  const { body } = held;
  const colours = useColours();
  const terms = useSettings((state) => state.terms);
  const units = useSettings((state) => state.units);
  const unmeasured = !body.gauge.stitches?.length;
  const [open, setOpen] = useState(unmeasured);
  const { change } = useLibrary.getState();
  const { remove } = useDeleting.getState();
  const worked = fabricIfMeasured(fabricFromSwatch(body, yarn.yarn));
  return (
    <View
      role="group"
      aria-label={`Swatch, ${body.name}`}
      style={{ borderLeftWidth: 5, borderColor: colours.thread, paddingLeft: 12, gap: 4 }}
    >
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', columnGap: 16 }}>
        <View style={{ flexGrow: 1, flexShrink: 1, flexBasis: 240 }}>
          <Words as="strong">{`Swatch: ${term(body.stitch, terms)}, hook ${formatNumber(body.hookMm, 2)} mm`}</Words>
          <Words as="small" tone="faint">
            {unmeasured || !worked ? 'not measured yet' : handIn(worked, units)}
          </Words>
        </View>
        <View style={{ flexDirection: 'row', columnGap: 16 }}>
          <Action label={`${open ? 'Close' : 'Change'} the swatch: ${body.name}`} onPress={() => setOpen(!open)}>
            {open ? 'Close' : 'Change'}
          </Action>
          <Action label={`Delete the swatch: ${body.name}`} onPress={() => remove('swatches', id, body.name)}>
            Delete
          </Action>
        </View>
      </View>
      <Clash kind="swatches" id={id} held={held} />
      {open ? (
        <>
          <FieldRow>
            <Pick
              label="Stitch"
              value={body.stitch}
              options={STITCHES.filter(({ id: stitch, wantsSwatch }) => !wantsSwatch || stitch === body.stitch).map(
                ({ id: stitch, name }) => ({ id: stitch, name: name[terms] }),
              )}
              onChange={(stitch) => change('swatches', id, { ...body, stitch })}
            />
            <NumberField
              label="Hook"
              unit="mm"
              value={body.hookMm}
              min={0.5}
              max={40}
              onChange={(hookMm) =>
                change('swatches', id, { ...body, hookMm, name: upTo(`${yarn.name} on ${hookMm} mm`, 120) })
              }
            />
          </FieldRow>
          <GaugeEditor
            gauge={body.gauge}
            asks={unmeasured ? ['stitches', 'rows'] : []}
            onChange={(gauge) => change('swatches', id, { ...body, gauge })}
          />
          {worked ? (
            <>
              <FigureLine name="Stitch width" figure={worked.stitchWidth} />
              <FigureLine name="Row height" figure={worked.rowHeight} />
            </>
          ) : null}
        </>
      ) : null}
    </View>
  );
}
