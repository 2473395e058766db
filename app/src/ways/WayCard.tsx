import { fitDefinition, formatNumber, shapeDefinition, type Way } from '@keep-snug/core';
import { View } from 'react-native';
import { duration } from '@/board/duration';
import { Drawing } from '@/drawing/Drawing';
import { Action } from '@/parts/Action';
import { Words } from '@/parts/Words';
import { useColours } from '@/theme/useTheme';

interface Props {
  way: Way;
  taken: boolean;
  onTake: () => void;
}

/** One way beside the others: its drawing, how sure it is, what it takes, and why. */
export function WayCard({ way, taken, onTake }: Props) {
  const colours = useColours();
  const { name } = shapeDefinition(way.shape)!;
  const { chance = 0, metres = 0, minutes = 0, view } = way;
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
      {view ? <Drawing view={view} height={104} bare /> : null}
      <Sureness share={chance} />
      <Words as="strong">{`Fits ${Math.round(100 * chance)} times in 100`}</Words>
      <Words as="small">{`${fitDefinition(way.fit).name}, hook ${formatNumber(way.hookMm, 2)} mm`}</Words>
      <Words as="small">{`${formatNumber(metres, 0)} m${lasting(way)}; about ${duration(minutes)}`}</Words>
      <Words as="small" tone="faint" style={{ flexGrow: 1 }}>
        {way.why}
      </Words>
      {taken ? (
        <Words as="smallStrong" tone="lichen" style={{ minHeight: 48, paddingTop: 14 }}>
          The plan as it stands
        </Words>
      ) : (
        <View style={{ flexDirection: 'row', marginLeft: -4 }}>
          <Action label={`Take this way: ${name}`} onPress={onTake}>
            Take this way
          </Action>
        </View>
      )}
    </View>
  );
}

/** How much of the line fits, to be compared at a glance; the words beside it say the same. */
function Sureness({ share }: { share: number }) {
  const colours = useColours();
  return (
    <View aria-hidden style={{ height: 8, backgroundColor: colours.line }}>
      <View style={{ width: `${Math.round(100 * share)}%`, height: 8, backgroundColor: colours.lichen }} />
    </View>
  );
}

/** Whether the yarn in the house lasts, where it is known how much there is. */
function lasting({ enough }: Way): string {
  if (enough === null || enough === undefined) return '';
  if (enough > 0.9) return ', there is enough';
  return enough < 0.5 ? ', not enough in the house' : ', it may just last';
}
