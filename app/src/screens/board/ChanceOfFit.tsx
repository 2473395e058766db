import {
  capital,
  applyChange,
  countMeasures,
  wordText,
  type Chance,
  type Help,
  type Plan,
  timesInHundred,
} from '@keep-snug/core';
import { View } from 'react-native';
import { Action } from '@/ui/actions/Action';
import { useBox } from '@/ui/layout/useBox';
import { Words } from '@/ui/layout/Words';
import { useBoard } from '@/data/board';
import { useWide } from '@/theme/useWide';
import { useChance } from '@/platform/useReckonWorker';
import { ChancePicture } from './ChancePicture';
import { useReader } from '@/reading/useWorked';

/** Which stage a remedy is done in. */
const STAGE_OF: Readonly<Record<Exclude<Help['id'], 'change-plan'>, string>> = {
  swatch: 'fabric',
  'measure-first-rows': 'fabric',
  'measure-thing': 'thing',
};

const inHundred = (share: number) => Math.round(100 * share);

/** From estimates a chance is told in steps of five: no finer than it is known. */
const inFives = (share: number) => 5 * Math.round(20 * share);

interface Props {
  id: string;
  plan: Plan;
  edit: (work: (plan: Plan) => Plan) => void;
}

/** How often such a piece would fit, the ways it fails, and what would help most. */
export function ChanceOfFit({ id, plan, edit }: Props) {
  const { found } = useChance(plan);
  const estimated = countMeasures(plan.fabric.gauge ?? {}) === 0;
  const swatch = found?.helps.find((help) => help.id === 'swatch');
  const wide = useWide();
  const { box, onLayout } = useBox();
  // its place is kept while it is worked out, so that nothing below it moves under a finger
  const room = { minHeight: wide ? 168 : 92 };
  if (!found)
    return (
      <View onLayout={onLayout} style={room}>
        <Words as="small" tone="faint">
          Working out how often it fits…
        </Words>
      </View>
    );
  const picture = Math.min(box.width, wide ? box.width : 120);
  return (
    <View
      onLayout={onLayout}
      style={{
        ...room,
        flexDirection: wide ? 'column' : 'row',
        gap: wide ? 4 : 14,
        alignItems: wide ? 'stretch' : 'center',
      }}
    >
      {picture > 0 ? <ChancePicture chance={found} width={picture} height={wide ? 72 : 54} /> : null}
      <View style={{ flex: wide ? undefined : 1 }}>
        {estimated && swatch ? <Estimate chance={found} then={swatch.share} /> : <Sure chance={found} />}
        <Helps id={id} chance={found} edit={edit} />
      </View>
    </View>
  );
}

function Sure({ chance }: { chance: Chance }) {
  return (
    <>
      <Words as="heading" level={2} live>
        {`Fits ${timesInHundred(chance.share)}`}
      </Words>
      <Words as="small" tone="faint">
        {failures(chance)}
      </Words>
    </>
  );
}

/** Without a swatch the chance says how little is known, not how well it fits: what would firm it up comes first. */
function Estimate({ chance, then }: { chance: Chance; then: number }) {
  return (
    <>
      <Words as="heading" level={2} tone="thread" live>
        Estimate only
      </Words>
      <Words as="small">{`Measure ten rows of a swatch and about ${inFives(then)} of 100 fit.`}</Words>
      <Words as="small" tone="faint">
        {`As estimated about ${inFives(chance.share)} of 100: ${failures(chance, inFives)}.`}
      </Words>
    </>
  );
}

/** The ways it fails, in a line. */
export function failures({ draws, tight, loose, short, deep, base, strap }: Chance, told = inHundred): string {
  const parts = [
    ['too tight', tight],
    ['too loose', loose],
    ['too short', short],
    ['too deep', deep],
    ['base not flat', base],
    ['strap too short', strap],
  ] as const;
  const said = parts.filter(([, count]) => told(count / draws) > 0);
  if (said.length === 0) return 'hardly ever too tight or too loose';
  return said.map(([word, count]) => `${word}\u00a0${told(count / draws)}`).join(', ');
}

/** What would help most; a change of the plan is made by its press, what is to be measured is led to. */
function Helps({ id, chance: { helps }, edit }: Pick<Props, 'id' | 'edit'> & { chance: Chance }) {
  const openStage = useBoard((state) => state.openStage);
  const { terms, units, hand } = useReader();
  const [best] = helps;
  if (!best) return null;
  const press = () => {
    if (best.id === 'change-plan') edit((old) => applyChange(old, best.change!));
    else openStage(id, STAGE_OF[best.id]);
  };
  const takes = best.minutes > 0 ? `, about ${best.minutes} minutes` : '';
  return (
    <View style={{ flexDirection: 'row' }}>
      <Action onPress={press}>
        {`${capital(wordText(best.text, { terms, units, hand }))}: fits ${inHundred(best.share)}${takes}`}
      </Action>
    </View>
  );
}
