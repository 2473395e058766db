import {
  countMeasures,
  isOfAnotherStitch,
  otherHookOf,
  plural,
  swatchOf,
  term,
  type SwatchSpec,
  withSwatch,
  type FabricSpec,
  type Hand,
  yarnOf,
} from '@keep-snug/core';
import { View } from 'react-native';
import { Action } from '@/ui/actions/Action';
import { FieldRow } from '@/ui/layout/FieldRow';
import { Pick } from '@/ui/fields/Pick';
import { useWord } from '@/reading/useWord';
import { Words } from '@/ui/layout/Words';
import { useLibrary, useShelf } from '@/data/library';
import { GaugeEditor } from '@/ui/fields/GaugeEditor';
import { useHand } from '@/reading/useHand';
import { useReader } from '@/reading/useWorked';
import { useYarnInBox } from '../../../reading/useYarnInBox';

const NONE = '';

interface Props {
  fabric: FabricSpec;
  onChange: (fabric: FabricSpec) => void;
  /** How the piece is worked: such a swatch says the most of it. */
  worked: 'rows' | 'rounds';
}

/** What is known of the stitch's size: a swatch, the maker's own hand, or an estimate. */
export function SwatchPart({ fabric, onChange, worked }: Props) {
  const { terms } = useReader();
  const isOther = isOfAnotherStitch(fabric);
  const hook = otherHookOf(fabric);
  // what was measured in another stitch informs the estimate, and gives way to the first measure in this one
  const gauge = isOther ? {} : (fabric.gauge ?? {});
  const isMeasured = countMeasures(gauge) > 0;
  return (
    <>
      <SwatchPick fabric={fabric} isMeasured={isMeasured} onChange={onChange} />
      {isOther ? (
        <Words as="small" tone="thread">
          {`The sizes below follow from your swatch in ${term(fabric.gauge!.stitch!, terms)}, by the usual proportion of the two.`}
        </Words>
      ) : null}
      {hook === undefined || isOther ? null : <OnAnotherHook fabric={fabric} hook={hook} onChange={onChange} />}
      <GaugeEditor round worked={worked} gauge={gauge} onChange={(next) => onChange({ ...fabric, gauge: next })} />
      {isMeasured ? <KeepSwatch fabric={fabric} /> : <OwnHand fabric={fabric} onChange={onChange} />}
      {isMeasured || isOther ? null : (
        <Words as="small" tone="thread">
          No swatch yet, so these sizes are estimates. A swatch of 10 rows makes them much more exact.
        </Words>
      )}
    </>
  );
}

/** What was measured on another hook: its sizes follow, unless it is the hook that was mistyped. */
function OnAnotherHook({ fabric, hook, onChange }: Omit<Props, 'worked'> & { hook: number }) {
  const { hookMm: _other, ...gauge } = fabric.gauge!;
  return (
    <View>
      <Words as="small" tone="thread">
        {`Your swatch is on a ${hook} mm hook; the sizes for ${fabric.hookMm} mm follow from it, to about 3 %.`}
      </Words>
      <View style={{ flexDirection: 'row' }}>
        <Action onPress={() => onChange({ ...fabric, gauge })}>{`It was worked on ${fabric.hookMm} mm`}</Action>
      </View>
    </View>
  );
}

/** The swatches of this yarn, those on this hook first, those in another stitch or on another hook by its name. */
function SwatchPick({ fabric, isMeasured, onChange }: Omit<Props, 'worked'> & { isMeasured: boolean }) {
  const { terms } = useReader();
  const yarn = useYarnInBox(yarnOf(fabric));
  const swatches = useShelf('swatches');
  const measured = swatches.filter(([, { body }]) => (!yarn || body.yarn === yarn.id) && countMeasures(body.gauge) > 0);
  const isOwnHook = ([, { body }]: (typeof measured)[number]) => body.hookMm === fabric.hookMm;
  // of a yarn that is not known those on another hook would be all there are
  const fitting = [...measured.filter(isOwnHook), ...(yarn ? measured.filter((one) => !isOwnHook(one)) : [])];
  if (fitting.length === 0) return null;
  const taken = takenOf(fabric, swatches);
  return (
    <FieldRow>
      <Pick
        label="Swatch"
        value={taken ?? NONE}
        options={[
          { id: NONE, name: isMeasured ? 'as measured here' : 'No swatch (estimate)' },
          ...fitting.map(([id, { body }]) => ({
            id,
            name: named(body, fabric, terms),
          })),
        ]}
        onChange={(id) => {
          const found = swatches.find(([key]) => key === id);
          onChange(found ? withSwatch(fabric, found[1].body) : { ...fabric, gauge: {} });
        }}
      />
    </FieldRow>
  );
}

/** A swatch by its name, with what sets it apart from the fabric. */
function named(
  { name, stitch, hookMm }: SwatchSpec & { name: string },
  fabric: FabricSpec,
  terms: 'US' | 'UK',
): string {
  const apart = [
    ...(stitch === fabric.stitch ? [] : [`in ${term(stitch, terms)}`]),
    ...(hookMm === fabric.hookMm ? [] : [`${hookMm} mm hook`]),
  ];
  return [name, ...apart].join(', ');
}

type Swatches = ReturnType<typeof useShelf<'swatches'>>;

/** The swatch of the box that a plan's gauge is. */
function takenOf(fabric: FabricSpec, swatches: Swatches): string | undefined {
  const now = JSON.stringify(fabric.gauge);
  return swatches.find(([, { body }]) => JSON.stringify(withSwatch(fabric, body).gauge) === now)?.[0];
}

function KeepSwatch({ fabric }: Pick<Props, 'fabric'>) {
  const yarn = useYarnInBox(yarnOf(fabric));
  const swatches = useShelf('swatches');
  const add = useLibrary((state) => state.add);
  if (!yarn || takenOf(fabric, swatches)) return null;
  const name = `${yarn.name} on ${fabric.hookMm} mm`;
  return (
    <Action onPress={() => add('swatches', { name, yarn: yarn.id, ...swatchOf(fabric) })}>Save this swatch</Action>
  );
}

/** Estimating by what the swatches in the box show of the maker's own hand. */
function OwnHand({ fabric, onChange }: Omit<Props, 'worked'>) {
  const hand = useHand(yarnOf(fabric));
  const word = useWord();
  if (!hand) return null;
  return (
    <Action onPress={() => onChange(fabric.hand ? { ...fabric, hand: undefined } : { ...fabric, hand })}>
      {fabric.hand ? word('Estimate without my own {gauge}') : word(`Use my own {gauge} (${handWords(hand)})`)}
    </Action>
  );
}

function handWords({ width, makes }: Hand): string {
  const share = Math.round(Math.abs(100 * (width - 1)));
  const words = share === 0 ? 'as estimated' : `${share} % ${width < 1 ? 'tighter' : 'looser'}`;
  return `${words}, from ${plural(makes, 'swatch or make', 'swatches and makes')}`;
}
