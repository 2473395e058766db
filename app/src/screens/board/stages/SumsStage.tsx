import { View } from 'react-native';
import { Sums } from '../Sums';
import type { Stage, StageProps } from './definition';

function Body({ worked }: StageProps) {
  return <View>{worked ? <Sums worked={worked} /> : null}</View>;
}

function lowered(text: string): string {
  return `${text.charAt(0).toLowerCase()}${text.slice(1)}`;
}

export const sumsStage: Stage = {
  id: 'sums',
  name: 'Sums',
  owns: [],
  summary: (_plan, worked, say) => {
    if (!worked) return 'Fill in the fields above first';
    return `${lowered(worked.pieces[0]!.summary)}; about ${say.number(Math.round(worked.outside.width.value))} × ${say.length(Math.round(worked.outside.height.value))}`;
  },
  Body,
};
