import {
  CATEGORIES,
  fabricFromSwatch,
  fabricIfMeasured,
  formatNumber,
  massWith,
  STITCHES,
  term,
  type LengthUnit,
  type WorkedFabric,
  upTo,
  GAUGE_OVER,
  perTen,
  plural,
} from '@keep-snug/core';
import type { SwatchRecord, YarnRecord } from '@keep-snug/core/documents';
import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { CardBox } from '@/ui/layout/CardBox';
import { Clash } from '@/ui/notices/Clash';
import { EmptyPlace } from '@/ui/notices/EmptyPlace';
import { FieldRow } from '@/ui/layout/FieldRow';
import { Action } from '@/ui/actions/Action';
import { HookField } from '@/ui/fields/HookField';
import { NumberField } from '@/ui/fields/NumberField';
import { ListTools } from '@/ui/lists/ListTools';
import { MoreMenu } from '@/ui/actions/MoreMenu';
import { ListPage } from '@/ui/layout/Page';
import { Press } from '@/ui/actions/Press';
import { useFinding } from '@/ui/lists/useFinding';
import { Pick } from '@/ui/fields/Pick';
import { FigureLine } from '@/ui/lists/FigureLine';
import { Words } from '@/ui/layout/Words';
import { WorkingsPanel } from '@/ui/notices/WorkingsPanel';
import { useDeleting } from '@/data/deleting';
import { useLibrary, useShelf } from '@/data/library';
import { useSettings } from '@/data/settings';
import { useUsed } from '@/data/used';
import { useColours } from '@/theme/useTheme';
import { GaugeChart } from './GaugeChart';
import { HandLines } from './HandLines';
import { GaugeEditor } from '@/ui/fields/GaugeEditor';
import { NewYarn } from './NewYarn';
import { SampleSwatch } from './SampleSwatch';
import { RunFields } from '@/ui/fields/RunFields';
import { YarnFields } from '@/ui/fields/YarnFields';
import type { LocalDocument } from '@/data/types';

/** Yarns with what is left, and the swatches worked in them. */
export function YarnBox() {
  const yarns = useShelf('yarns');
  const swatches = useShelf('swatches');
  const [adding, setAdding] = useState(false);
  const entries = useMemo(
    () =>
      yarns.map(([id, held]) => {
        const { name, yarn } = held.body;
        return { id, name, words: [yarn.fibre, yarn.colour].filter(Boolean).join(' '), held };
      }),
    [yarns],
  );
  const finding = useFinding(entries);
  return (
    <>
      <ListPage
        title="Yarn box"
        says="Your yarns, what is left of them, and the swatches you have measured."
        {...(adding ? {} : { main: { name: 'Add a yarn', do: () => setAdding(true) } })}
        over={
          <>
            {adding ? <NewYarn onDone={() => setAdding(false)} /> : null}
            {yarns.length === 0 && !adding ? (
              <EmptyPlace
                title="No yarn in the box"
                text="Add one with its weight, or the metres its band names. A swatch of it sizes everything you make in it."
                action={{ name: 'Add your first yarn', do: () => setAdding(true) }}
              >
                <SampleSwatch />
              </EmptyPlace>
            ) : null}
            <ListTools what="yarns" finding={finding} />
          </>
        }
        items={finding.found.map(({ id, held }) => ({
          key: id,
          draw: () => <Yarn id={id} held={held} swatches={swatches.filter(([, swatch]) => swatch.body.yarn === id)} />,
        }))}
      />
      <WorkingsPanel />
    </>
  );
}

interface YarnProps {
  id: string;
  held: LocalDocument<YarnRecord>;
  swatches: [string, LocalDocument<SwatchRecord>][];
}

/** What is known of a yarn, in a line. */
function factsOf({ yarn, gramsLeft }: YarnRecord, terms: 'US' | 'UK'): string {
  const { category } = yarn;
  return [
    category === undefined ? null : `${CATEGORIES[category]!.name[terms]} (${category})`,
    yarn.metresPer100g ? `${formatNumber(yarn.metresPer100g)} m in 100 g` : null,
    yarn.fibre,
    yarn.runs ? `${plural(yarn.runs.length, 'run')} of colour, over and over` : null,
    gramsLeft === undefined ? null : `${formatNumber(gramsLeft)} g left`,
  ]
    .filter(Boolean)
    .join(', ');
}

/** A yarn: the card opens what can be changed of it. */
function Yarn({ id, held, swatches }: YarnProps) {
  const { body } = held;
  const [open, setOpen] = useState(false);
  const terms = useSettings((state) => state.terms);
  const remove = useDeleting((state) => state.remove);
  const change = (next: YarnRecord) => {
    useUsed.getState().touch(id);
    useLibrary.getState().change('yarns', id, next);
  };
  const addSwatch = () =>
    useLibrary
      .getState()
      .add('swatches', { name: `${body.name} on 4 mm`, yarn: id, stitch: 'single', hookMm: 4, gauge: {} });
  return (
    <CardBox label={body.name}>
      <View style={STYLES.line}>
        <Press label={`Edit: ${body.name}`} expanded={open} onPress={() => setOpen(!open)} style={{ flex: 1 }}>
          <Words as="heading" level={2}>
            {body.name}
          </Words>
          <Words tone="faint">{factsOf(body, terms)}</Words>
        </Press>
        <MoreMenu
          of={body.name}
          entries={[
            { name: open ? 'Close' : 'Edit', do: () => setOpen(!open) },
            { name: 'Delete', do: () => remove('yarns', id, body.name) },
          ]}
        />
      </View>
      {open ? (
        <>
          <YarnFields yarn={body.yarn} onChange={(yarn) => change({ ...body, name: yarn.name ?? body.name, yarn })} />
          <FieldRow>
            <NumberField
              label="Left"
              amount={massWith(body.yarn.ballGrams)}
              help="In grams, ounces or balls."
              value={body.gramsLeft}
              min={0}
              max={100_000}
              onChange={(gramsLeft) => change({ ...body, gramsLeft })}
              onClear={() => {
                const { gramsLeft: _gone, ...rest } = body;
                change(rest);
              }}
            />
          </FieldRow>
          <RunFields yarn={body.yarn} onChange={(yarn) => change({ ...body, yarn })} />
        </>
      ) : null}
      <Clash kind="yarns" id={id} held={held} />
      <HandLines yarn={body.yarn} />
      <GaugeChart yarn={body} swatches={swatches.map(([, swatch]) => swatch.body)} />
      {swatches.map(([key, swatch]) => (
        <Swatch key={key} id={key} held={swatch} yarn={body} />
      ))}
      <View style={{ flexDirection: 'row' }}>
        <Action label={`Add a swatch of ${body.name}`} onPress={addSwatch}>
          Add a swatch
        </Action>
      </View>
    </CardBox>
  );
}

/** The stitch as measured, and the hand that it shows. */
function handIn({ stitchWidth, estimate }: WorkedFabric, units: LengthUnit): string {
  const against = stitchWidth.value / estimate.stitchWidth.value - 1;
  const share = formatNumber(Math.abs(100 * against), 0);
  return `${perTen(stitchWidth, units)} stitches to ${GAUGE_OVER[units].words}, ${share} % ${against < 0 ? 'tighter' : 'looser'} than the estimate`;
}

function Swatch({ id, held, yarn }: { id: string; held: LocalDocument<SwatchRecord>; yarn: YarnRecord }) {
  const { body } = held;
  const colours = useColours();
  const terms = useSettings((state) => state.terms);
  const units = useSettings((state) => state.units);
  const unmeasured = !body.gauge.stitches?.length;
  const [open, setOpen] = useState(unmeasured);
  const remove = useDeleting((state) => state.remove);
  const change = (next: SwatchRecord) => {
    useUsed.getState().touch(id);
    useLibrary.getState().change('swatches', id, next);
  };
  const worked = fabricIfMeasured(fabricFromSwatch(body, yarn.yarn));
  return (
    <View
      role="group"
      aria-label={`Swatch, ${body.name}`}
      style={{ borderLeftWidth: 5, borderColor: colours.thread, paddingLeft: 12, gap: 4 }}
    >
      <View style={STYLES.line}>
        <Press
          label={`Edit the swatch: ${body.name}`}
          expanded={open}
          onPress={() => setOpen(!open)}
          style={{ flex: 1 }}
        >
          <Words as="strong">{`Swatch: ${term(body.stitch, terms)}, hook ${formatNumber(body.hookMm, 2)} mm`}</Words>
          <Words as="small" tone="faint">
            {unmeasured || !worked ? 'not measured yet' : handIn(worked, units)}
          </Words>
        </Press>
        <MoreMenu
          of={`the swatch ${body.name}`}
          entries={[
            { name: open ? 'Close' : 'Edit', do: () => setOpen(!open) },
            { name: 'Delete', do: () => remove('swatches', id, body.name) },
          ]}
        />
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
              onChange={(stitch) => change({ ...body, stitch })}
            />
            <HookField
              value={body.hookMm}
              onChange={(hookMm) => change({ ...body, hookMm, name: upTo(`${yarn.name} on ${hookMm} mm`, 120) })}
            />
          </FieldRow>
          <GaugeEditor
            gauge={body.gauge}
            asks={unmeasured ? ['stitches', 'rows'] : []}
            onChange={(gauge) => change({ ...body, gauge })}
          />
          {worked ? (
            <>
              <FigureLine
                name={`Stitches to ${GAUGE_OVER[units].words}`}
                figure={worked.stitchWidth}
                text={perTen(worked.stitchWidth, units)}
              />
              <FigureLine
                name={`Rows to ${GAUGE_OVER[units].words}`}
                figure={worked.rowHeight}
                text={perTen(worked.rowHeight, units)}
              />
            </>
          ) : null}
        </>
      ) : null}
    </View>
  );
}

const STYLES = StyleSheet.create({ line: { flexDirection: 'row', alignItems: 'center', columnGap: 8 } });
