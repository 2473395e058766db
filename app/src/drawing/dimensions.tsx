import { formatKnown, type Dimension, type LengthUnit, type View } from '@keep-snug/core';
import type { ReactElement } from 'react';
import { Path, Text } from '@/parts/ink';
import { LABEL_SIZE, placeSpans, px, wordsMiddle, wordWidth, type Span } from './layout';
import { lettering, type Ink } from './lettering';

/** How far dimension lines stand off the cloth, px. */
const OFF = 14;
const TICK = 5;

/** Thread-thin lines with tape ticks: lengths above, the width with its count at the left. */
export function dimensionInk(view: View, ink: Ink, units: LengthUnit): ReactElement[] {
  const all = view.parts.filter((part): part is Dimension => part.type === 'dimension');
  const lying = all.filter(({ along }) => along === 'x');
  const standing = all.filter(({ along }) => along === 'y');
  const threads = all.map((dimension) => threadPath(dimension, ink.scale)).join('');
  return [
    <Path key="threads" d={threads} fill="none" stroke={ink.colours.ink} strokeWidth={1.2} />,
    ...lyingWords(lying, ink, units),
    ...standing.flatMap((dimension, index) => standingWords(dimension, ink, units, index)),
  ];
}

/** A thread from one end to the other with a tape tick at each. */
function threadPath({ along, from, to, at: beside = 0 }: Dimension, scale: number): string {
  const line = beside * scale - OFF;
  const at = (place: number, off: number) =>
    along === 'x' ? `${px(place)} ${px(line + off)}` : `${px(line + off)} ${px(place)}`;
  const [first, last] = [from * scale, to * scale];
  const ticks = [first, last].map((end) => `M${at(end, -TICK)}L${at(end, TICK)}`);
  return `M${at(first, 0)}L${at(last, 0)}${ticks.join('')}`;
}

function lyingWords(list: readonly Dimension[], { scale, colours, mirrored }: Ink, units: LengthUnit): ReactElement[] {
  const spans = list.map((dimension): Span => {
    const { from, to, mm, sd } = dimension;
    const whole = formatKnown(mm, sd, units);
    const text = (to - from) * scale > 64 ? whole : withoutUnit(whole);
    return span(dimension, text, scale, mirrored ? from : to);
  });
  return placeSpans(spans).map(({ middle, tier }, index) => (
    <Text
      key={`lying ${index}`}
      x={middle}
      y={(list[index]!.at ?? 0) * scale - OFF - 7 - tier * 17}
      {...lettering(colours)}
    >
      {spans[index]!.text}
    </Text>
  ));
}

/** A length whose unit stands beside it already. */
const withoutUnit = (text: string) => text.replace(/ [a-z]+$/, '');

/** A dimension with its words in px; a knob sits at its end where it can be drawn. */
function span({ from, to, choice, drives }: Dimension, text: string, scale: number, end: number): Span {
  return { from: from * scale, to: to * scale, text, knob: choice || drives ? end * scale : undefined };
}

function standingWords(
  dimension: Dimension,
  { scale, colours }: Ink,
  units: LengthUnit,
  place: number,
): ReactElement[] {
  const { to, mm, sd, count, at: beside = 0 } = dimension;
  const lines = [count, formatKnown(mm, sd, units)].filter((word): word is string => word !== undefined);
  // between two pieces there is room for one line
  const inOne = lines.join(', ');
  const words = beside > 0 && wordWidth(inOne, LABEL_SIZE) <= (to - dimension.from) * scale ? [inOne] : lines;
  return words.map((word, index) => {
    const baseline = beside * scale - OFF - 8 - (words.length - 1 - index) * 17;
    const middle = wordsMiddle(span(dimension, word, scale, to));
    return (
      <Text
        key={`standing ${place} ${index}`}
        x={baseline}
        y={middle}
        transform={`rotate(-90 ${baseline} ${middle})`}
        {...lettering(colours)}
      >
        {word}
      </Text>
    );
  });
}
