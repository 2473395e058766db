import { formatKnown, type LengthUnit } from '../../base/units';
import type { Dimension } from '../parts';
import type { SetWord } from './clothLabel';
import { LABEL_SIZE, placeSpans, px, wordsMiddle, wordWidth, type Span } from './layout';

/** How far dimension lines stand off the cloth, px. */
const OFF = 14;
const TICK = 5;

/** A thread from one end of a dimension to the other with a tape tick at each. */
export function threadPath({ along, from, to, at: beside = 0 }: Dimension, scale: number): string {
  const line = beside * scale - OFF;
  const at = (place: number, off: number) =>
    along === 'x' ? `${px(place)} ${px(line + off)}` : `${px(line + off)} ${px(place)}`;
  const [first, last] = [from * scale, to * scale];
  const ticks = [first, last].map((end) => `M${at(end, -TICK)}L${at(end, TICK)}`);
  return `M${at(first, 0)}L${at(last, 0)}${ticks.join('')}`;
}

/** The lengths of lines that lie, above them; each where no neighbour runs into it. */
export function lyingWords(
  list: readonly Dimension[],
  scale: number,
  units: LengthUnit,
  mirrored: boolean | undefined,
): SetWord[] {
  const spans = list.map((dimension): Span => {
    const { from, to, mm, sd } = dimension;
    const whole = formatKnown(mm, sd, units);
    const text = (to - from) * scale > 64 ? whole : withoutUnit(whole);
    return span(dimension, text, scale, mirrored ? from : to);
  });
  return placeSpans(spans).map(({ middle, tier }, index) => ({
    x: middle,
    y: (list[index]!.at ?? 0) * scale - OFF - 7 - tier * 17,
    text: spans[index]!.text,
  }));
}

/** A length whose unit stands beside it already. */
const withoutUnit = (text: string) => text.replace(/ [a-z]+$/, '');

/** A dimension with its words in px; a knob sits at its end where it can be drawn. */
function span({ from, to, choice, drives }: Dimension, text: string, scale: number, end: number): Span {
  return { from: from * scale, to: to * scale, text, knob: choice || drives ? end * scale : undefined };
}

/** The count and the length of a line that stands, at its left: each turned upright about its own place. */
export function standingWords(dimension: Dimension, scale: number, units: LengthUnit): SetWord[] {
  const { to, mm, sd, count, at: beside = 0 } = dimension;
  const lines = [count, formatKnown(mm, sd, units)].filter((word): word is string => word !== undefined);
  // between two pieces there is room for one line
  const inOne = lines.join(', ');
  const words = beside > 0 && wordWidth(inOne, LABEL_SIZE) <= (to - dimension.from) * scale ? [inOne] : lines;
  return words.map((text, index) => ({
    x: beside * scale - OFF - 8 - (words.length - 1 - index) * 17,
    y: wordsMiddle(span(dimension, text, scale, to)),
    text,
  }));
}
