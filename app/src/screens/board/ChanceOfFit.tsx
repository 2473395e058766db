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
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { Action } from '@/ui/actions/Action';
import { Press } from '@/ui/actions/Press';
import { useBox } from '@/ui/layout/useBox';
import { Words } from '@/ui/layout/Words';
import { useBoard } from '@/data/board';
import { useChance } from '@/platform/useReckonWorker';
import { CountedAsk, leavesOpen } from './CountedAsk';
import { ChancePicture } from './ChancePicture';
import { useAtHand } from '@/reading/useAtHand';
import { inHouse, useReader } from '@/reading/useWorked';

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

/** How often such a piece would fit, the ways it fails, and what would help most: in a column of its own. */
export function ChanceOfFit(props: Props) {
  return leavesOpen(props.plan) ? <CountedAsk {...props} /> : <InAColumn {...props} />;
}

/** Its chance, what there is in the house proposed first. */
function useChanceHere(plan: Plan) {
  const atHand = useAtHand();
  return useChance(useMemo(() => inHouse(plan, { atHand }), [plan, atHand]));
}

function InAColumn({ id, plan, edit }: Props) {
  const { found } = useChanceHere(plan);
  const { box, onLayout } = useBox();
  // its place is kept while it is worked out, so that nothing below it moves under a finger
  return (
    <View onLayout={onLayout} style={{ minHeight: 168, gap: 4 }}>
      {found ? (
        <Told id={id} plan={plan} edit={edit} chance={found} width={box.width} />
      ) : (
        <Words as="small" tone="faint">
          {WORKING}
        </Words>
      )}
    </View>
  );
}

const WORKING = 'Working out how often it fits…';

/** The same in a line, and the rest of it behind a press. */
export function HowSure(props: Props) {
  return leavesOpen(props.plan) ? <CountedAsk {...props} /> : <InOneLine {...props} />;
}

function InOneLine({ id, plan, edit }: Props) {
  const { found } = useChanceHere(plan);
  const [open, setOpen] = useState(false);
  const { box, onLayout } = useBox();
  const swatch = swatchFor(plan, found);
  return (
    <View onLayout={onLayout}>
      <Press
        {...(found ? { expanded: open } : { disabled: true })}
        onPress={() => setOpen(!open)}
        style={{ flexDirection: 'row', alignItems: 'center', justifyContent: 'space-between', columnGap: 12 }}
      >
        <Words tone={swatch ? 'thread' : 'ink'} style={{ flexShrink: 1 }} live>
          {found ? inALine(found, swatch) : WORKING}
        </Words>
        {found ? (
          <Words as="smallStrong" tone="sea" style={{ flexShrink: 0 }}>
            {open ? 'Less' : 'How sure'}
          </Words>
        ) : null}
      </Press>
      {found && open ? <Told id={id} plan={plan} edit={edit} chance={found} width={box.width} /> : null}
    </View>
  );
}

/** What a swatch would do for it, where nothing was measured yet. */
const swatchFor = ({ fabric }: Plan, found: Chance | null): Help | undefined =>
  countMeasures(fabric.gauge ?? {}) === 0 ? found?.helps.find(({ id }) => id === 'swatch') : undefined;

const inALine = ({ share }: Chance, swatch: Help | undefined): string =>
  swatch
    ? `Estimated. Crochet ten rows, measure them, and about ${inFives(swatch.share)} of 100 fit.`
    : `Fits ${timesInHundred(share)}.`;

function Told({ id, plan, edit, chance, width }: Props & { chance: Chance; width: number }) {
  const swatch = swatchFor(plan, chance);
  return (
    <View style={{ gap: 4 }}>
      {width > 0 ? <ChancePicture chance={chance} width={Math.min(width, 288)} height={72} /> : null}
      <View>
        {swatch ? <Estimate chance={chance} then={swatch.share} /> : <Sure chance={chance} />}
        <Helps id={id} chance={chance} edit={edit} />
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
