import type { Mark, Point } from '@keep-snug/core/photograph';
import { createElement, useState } from 'react';
import { useBox } from '@/ui/layout/useBox';
import { Block, Circle, Polygon, Polyline, Svg } from '@/ui/layout/ink';
import { useColours } from '@/theme/useTheme';
import { ScrollView, View } from 'react-native';
import { IconAction } from '@/ui/actions/IconAction';
import { Bob } from './Bob';
import type { Picture } from './picture';

interface Props {
  picture: Picture;
  /** As high as it may be, px. */
  height: number;
  card: readonly Point[];
  /** What is pointed at now: the card's corners, or marks on the item. */
  handles: readonly { name: string; at: Point }[];
  /** Whether the marks run round. */
  closed: boolean;
  /** The marks as edges were found near them. */
  marks: readonly Mark[];
  onMove: (index: number, to: Point) => void;
  onDone: () => void;
}

/** So much larger than its whole a picture is looked at. */
const LARGEST = 4;

/** The picture with the card's outline, what is measured, and the bobs to move. The line is as thick as it is unsure. */
export function Table({ picture, height, card, handles, closed, marks, onMove, onDone }: Props) {
  const colours = useColours();
  const { box, onLayout } = useBox();
  const { grey, uri } = picture;
  const [by, setBy] = useState(1);
  const whole = box.width === 0 ? 0 : Math.min(box.width / grey.width, height / grey.height);
  const scale = whole * by;
  const [wide, high] = [grey.width * scale, grey.height * scale];
  const at = (points: readonly Point[]) => points.map(([x, y]) => `${x * scale},${y * scale}`).join(' ');
  const unsure = Math.max(1.5, ...marks.map(({ sd }) => 2 * sd * scale));
  const line = {
    points: at(marks.map(({ point }) => point)),
    fill: 'none',
    stroke: colours.thread,
    strokeWidth: unsure,
    strokeOpacity: 0.7,
  };
  return (
    <View onLayout={onLayout} style={{ width: '100%', gap: 4 }}>
      {scale > 0 ? (
        <ScrollView style={{ maxHeight: grey.height * whole }}>
          <ScrollView horizontal contentContainerStyle={{ minWidth: '100%', justifyContent: 'center' }}>
            <Block style={{ position: 'relative', width: wide, height: high }}>
              {createElement('img', {
                src: uri,
                alt: 'Your picture',
                draggable: false,
                style: { width: wide, height: high },
              })}
              <Svg
                width={wide}
                height={high}
                aria-hidden
                style={{ position: 'absolute', left: 0, top: 0, pointerEvents: 'none' }}
              >
                <Polygon points={at(card)} fill="none" stroke={colours.tape} strokeWidth={2} />
                {marks.length > 0 ? closed ? <Polygon {...line} /> : <Polyline {...line} /> : null}
                {marks.map(({ point: [x, y], sd }) => (
                  <Circle
                    key={`${x} ${y}`}
                    cx={x * scale}
                    cy={y * scale}
                    r={Math.max(2, sd * scale)}
                    fill="none"
                    stroke={colours.thread}
                    strokeWidth={1.5}
                  />
                ))}
              </Svg>
              {handles.map(({ name, at: place }, index) => (
                <Bob
                  key={name}
                  name={name}
                  at={place}
                  scale={scale}
                  picture={picture}
                  onMove={(to) => onMove(index, to)}
                  onDone={onDone}
                />
              ))}
            </Block>
          </ScrollView>
        </ScrollView>
      ) : null}
      <View style={{ flexDirection: 'row' }}>
        <IconAction label="Larger picture" icon="larger" onPress={() => setBy(Math.min(LARGEST, by * 1.6))} />
        {by > 1 ? <IconAction label="Whole picture" icon="whole" onPress={() => setBy(1)} /> : null}
      </View>
    </View>
  );
}
