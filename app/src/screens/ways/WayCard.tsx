import {
  fitDefinition,
  fittingDefinition,
  formatNumber,
  roundedAmount,
  shapeDefinition,
  type Plan,
  type Way,
  yarnOf,
  duration,
  timesInHundred,
} from '@keep-snug/core';
import { View } from 'react-native';
import { Portrait } from '@/drawing/portrait/Portrait';
import { useIdleTurn } from '@/platform/idleQueue';
import { reckonedFor, reckonFor, useReader } from '@/reading/useWorked';
import { Action } from '@/ui/actions/Action';
import { ShareBar } from '@/ui/lists/ShareBar';
import { Words } from '@/ui/layout/Words';
import { useColours } from '@/theme/useTheme';

interface Props {
  way: Way;
  taken: boolean;
  /** The plan it is a way of. */
  of: Plan;
  /** Fittings that the plan itself leaves off already. */
  parked: readonly string[];
  onTake: () => void;
}

/** One way beside the others: its drawing, how sure it is, what it takes, and why. */
export function WayCard({ way, taken, of, parked, onTake }: Props) {
  const colours = useColours();
  const { name } = shapeDefinition(way.shape)!;
  const dropped = (way.plan?.parked ?? [])
    .filter(({ kind }) => !parked.includes(kind))
    .map(({ kind }) => fittingDefinition(kind)!.name.toLowerCase());
  const { chance = 0, metres = 0, minutes = 0 } = way;
  const reader = useReader();
  const isItsTurn = useIdleTurn(way.plan !== undefined && reckonedFor(way.plan, reader) !== null);
  const worked = isItsTurn && way.plan ? reckonFor(way.plan, reader).worked : null;
  return (
    <View
      role="group"
      aria-label={name}
      style={{
        flex: 1,
        backgroundColor: colours.surface,
        borderWidth: 1,
        borderColor: colours.line,
        borderTopWidth: 6,
        borderTopColor: taken ? colours.tape : colours.line,
        padding: 12,
        gap: 6,
      }}
    >
      <Words as="heading" level={2} style={{ fontSize: 17, lineHeight: 22 }}>
        {name}
      </Words>
      {worked && way.plan ? <Portrait plan={way.plan} worked={worked} height={104} /> : null}
      <ShareBar share={chance} />
      <Words as="strong">{`Fits ${timesInHundred(chance)}`}</Words>
      <Words as="small">{`${fitDefinition(way.fit).name}, ${workedWith(way, of)}`}</Words>
      <Words as="small">{`about ${roundedAmount(metres)} m${lasting(way)}; about ${duration(minutes)}`}</Words>
      <Words as="small" tone="faint" style={{ flexGrow: 1 }}>
        {way.why}
      </Words>
      {way.but ? (
        <Words as="small" tone="rowan">
          {way.but}
        </Words>
      ) : null}
      {dropped.length > 0 ? <Words as="small" tone="thread">{`Leaves off: ${dropped.join(', ')}.`}</Words> : null}
      {taken ? (
        <Words as="smallStrong" tone="lichen" style={{ minHeight: 48, paddingTop: 14 }}>
          Current plan
        </Words>
      ) : (
        <View style={{ flexDirection: 'row', marginLeft: -4 }}>
          <Action label={`Use this: ${name}`} onPress={onTake}>
            Use this
          </Action>
        </View>
      )}
    </View>
  );
}

/** Its hook, its yarn where that is another, and whether what is other than the plan’s is in the house. */
function workedWith({ hookMm, yarn, atHand }: Way, { fabric }: Plan): string {
  const hook = `hook ${formatNumber(hookMm, 2)} mm`;
  const isOtherYarn = yarn !== (yarnOf(fabric).name ?? '');
  const isOther = isOtherYarn || hookMm !== fabric.hookMm;
  const has =
    !isOther || atHand === undefined ? '' : atHand ? ', which you have' : isOtherYarn ? ', a hook to get' : ', to get';
  return `${isOtherYarn ? `${yarn}, ` : ''}${hook}${has}`;
}

/** Whether the yarn in the house lasts, where it is known how much there is. */
function lasting({ enough }: Way): string {
  if (enough === null || enough === undefined) return '';
  if (enough > 0.9) return ', there is enough';
  return enough < 0.5 ? ', you do not have enough' : ', it may just last';
}
