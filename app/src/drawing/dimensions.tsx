import type { Dimension, LengthUnit, View } from '@keep-snug/core';
import { lyingWords, standingWords, threadPath } from '@keep-snug/core/drawn';
import type { ReactElement } from 'react';
import { Path, Text } from '@/ui/layout/ink';
import { lettering, type Ink } from './lettering';

/** Thread-thin lines with tape ticks: lengths above, the width with its count at the left. */
export function dimensionInk(view: View, ink: Ink, units: LengthUnit): ReactElement[] {
  const { scale, colours, mirrored } = ink;
  const all = view.parts.filter((part): part is Dimension => part.type === 'dimension');
  const lying = all.filter(({ along }) => along === 'x');
  const standing = all.filter(({ along }) => along === 'y');
  const threads = all.map((dimension) => threadPath(dimension, scale)).join('');
  return [
    <Path key="threads" d={threads} fill="none" stroke={colours.ink} strokeWidth={1.2} />,
    ...lyingWords(lying, scale, units, mirrored).map(({ x, y, text }, index) => (
      <Text key={`lying ${index}`} x={x} y={y} {...lettering(colours)}>
        {text}
      </Text>
    )),
    ...standing.flatMap((dimension, place) =>
      standingWords(dimension, scale, units).map(({ x, y, text }, index) => (
        <Text
          key={`standing ${place} ${index}`}
          x={x}
          y={y}
          transform={`rotate(-90 ${x} ${y})`}
          {...lettering(colours)}
        >
          {text}
        </Text>
      )),
    ),
  ];
}
