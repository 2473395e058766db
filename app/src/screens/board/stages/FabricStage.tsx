import {
  countMeasures,
  gaugeText,
  type LengthUnit,
  isOfAnotherStitch,
  onHook,
  shapeDefinition,
  STITCHES,
  stitchDefinition,
  stitchPattern,
  withStitch,
  yarnOf,
  type FabricSpec,
  type Worked,
  GAUGE_OVER,
  densityWord,
  perTen,
  thicknessText,
} from '@keep-snug/core';
import { techniqueOfStitch } from '@keep-snug/core/techniques';
import { View } from 'react-native';
import { Action } from '@/ui/actions/Action';
import { Fold } from '@/ui/layout/Fold';
import { FieldRow } from '@/ui/layout/FieldRow';
import { FigureLine } from '@/ui/lists/FigureLine';
import { HookField } from '@/ui/fields/HookField';
import { OptionFields } from '@/ui/fields/OptionFields';
import { Pick } from '@/ui/fields/Pick';
import { useWord } from '@/reading/useWord';
import { useReader } from '@/reading/useWorked';
import { useTechniqueTrail } from '@/data/techniqueTrail';
import { BandFields } from './BandFields';
import { HeldYarns } from './HeldYarns';
import { OtherHooks } from './OtherHooks';
import { RepeatPart } from './RepeatPart';
import { SwatchPart } from './SwatchPart';
import type { Stage, StageProps } from './definition';

function Body({ plan, worked, faults, edit }: StageProps) {
  const { fabric } = plan;
  const { units } = useReader();
  const { bands = [] } = fabric;
  const put = (next: FabricSpec) => edit((old) => ({ ...old, fabric: next }));
  const shape = shapeDefinition(plan.shape.kind)!;
  const isIn = (part: string) => faults.some(({ path }) => path.startsWith(`fabric.${part}`));
  return (
    <View style={{ gap: 8 }}>
      <HeldYarns fabric={fabric} onChange={put}>
        {fabric.yarn ? <RepeatPart plan={plan} edit={edit} whole={faults.length === 0} /> : null}
      </HeldYarns>
      <FieldRow>
        <HookField value={fabric.hookMm} onChange={(hookMm) => put(onHook(fabric, hookMm))} />
      </FieldRow>
      <StitchPart plan={plan} faults={faults} edit={edit} />
      <Fold
        title={isSwatched(fabric) ? 'How it was measured' : 'Measure a swatch'}
        says={worked ? gaugeLine(fabric, worked, units) : 'stitches and rows'}
        wrong={isIn('gauge')}
      >
        <SwatchPart fabric={fabric} onChange={put} worked={shape.worked} />
        {worked ? (
          <View>
            <Sizes fabric={worked.fabric} />
            {faults.length === 0 ? <OtherHooks fabric={fabric} /> : null}
          </View>
        ) : null}
      </Fold>
      {bands.length > 0 || shape.bands ? (
        <BandFields
          bands={bands}
          stitch={fabric.stitch}
          worked={shape.worked}
          faults={faults}
          onChange={(next) => edit(({ picks: _picks, ...old }) => ({ ...old, fabric: { ...old.fabric, bands: next } }))}
        />
      ) : null}
    </View>
  );
}

/** Whether its stitch was measured, and not another one's. */
const isSwatched = (fabric: FabricSpec): boolean => countMeasures(fabric.gauge ?? {}) > 0 && !isOfAnotherStitch(fabric);

const gaugeLine = (fabric: FabricSpec, { gauges }: Worked, units: LengthUnit): string =>
  `${isSwatched(fabric) ? 'measured' : 'estimated'}: ${gaugeText(gauges[0]!, units)}`;

/** The stitch, and what can be set of it. */
function StitchPart({ plan: { fabric }, faults, edit }: Omit<StageProps, 'worked'>) {
  const { terms } = useReader();
  const word = useWord();
  const show = useTechniqueTrail((state) => state.show);
  const technique = techniqueOfStitch(fabric.stitch);
  return (
    <>
      <FieldRow>
        <Pick
          label="Stitch"
          value={fabric.stitch}
          options={STITCHES.map(({ id, name }) => ({ id, name: name[terms] }))}
          onChange={(stitch) =>
            edit(({ picks: _picks, ...old }) => ({ ...old, fabric: withStitch(old.fabric, stitch) }))
          }
          hint={word(stitchPattern(fabric.stitch, fabric.pattern).summary)}
        />
      </FieldRow>
      {technique ? (
        <View style={{ flexDirection: 'row' }}>
          <Action onPress={() => show(technique.id)}>How it is worked</Action>
        </View>
      ) : null}
      <OptionFields
        fields={stitchDefinition(fabric.stitch)!.options}
        values={fabric.pattern ?? {}}
        path="fabric.pattern"
        faults={faults}
        onChange={(key, value) =>
          edit((old) => ({ ...old, fabric: { ...old.fabric, pattern: { ...old.fabric.pattern, [key]: value } } }))
        }
      />
    </>
  );
}

/** The sizes as makers say them, each with its workings in millimetres. */
function Sizes({ fabric: { stitchWidth, rowHeight, chain, thickness, cover } }: { fabric: Worked['fabric'] }) {
  const { units } = useReader();
  const { words } = GAUGE_OVER[units];
  return (
    <>
      <FigureLine name={`Stitches to ${words}`} figure={stitchWidth} text={perTen(stitchWidth, units)} />
      <FigureLine name={`Rows to ${words}`} figure={rowHeight} text={perTen(rowHeight, units)} />
      <FigureLine name={`Chains to ${words}`} figure={chain} text={perTen(chain, units)} />
      <FigureLine name="Fabric thickness" figure={thickness} text={thicknessText(thickness, units)} />
      <FigureLine name="Fabric density" figure={cover} text={densityWord(cover)} />
    </>
  );
}

export const fabricStage: Stage = {
  id: 'fabric',
  name: 'Fabric',
  owns: ['fabric'],
  summary: ({ fabric }, worked, say) => {
    const size = worked ? `; ${isSwatched(fabric) ? '' : 'estimate '}${say.gauge(worked.gauges[0]!)}` : '';
    const bands = fabric.bands?.length ? ` and more in ${fabric.bands.length} bands` : '';
    return `${yarnOf(fabric).name ?? 'yarn'}, ${say.term(fabric.stitch)}${bands}, hook ${fabric.hookMm} mm${size}`;
  },
  Body,
};
