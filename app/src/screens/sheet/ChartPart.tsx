import { fileNameOf, sectionWord, type Worked } from '@keep-snug/core';
import { chartOf, chartSvg } from '@keep-snug/core/written';
import { useState } from 'react';
import { View } from 'react-native';
import { Action } from '@/ui/actions/Action';
import { Pick } from '@/ui/fields/Pick';
import { saveText } from '@/platform/saveText';
import { useSchools } from '@/reading/useSchools';
import { Words } from '@/ui/layout/Words';
import { ChartPicture } from '@/technique/ChartPicture';

/** So many rows are charted at a time. */
const AT_A_TIME = 12;

interface Charted {
  id: string;
  name: string;
  piece: string;
  from: number;
  to: number;
}

/** The pieces and their sections, as they can be charted. */
function chartedOf({ pieces }: Pick<Worked, 'pieces'>): Charted[] {
  return pieces.flatMap((piece) =>
    piece.sections.map(({ name, from, to }, index) => ({
      id: `${piece.id} ${index}`,
      name: piece.sections.length > 1 || pieces.length > 1 ? `${piece.name}: ${sectionWord(name)}` : piece.name,
      piece: piece.id,
      from,
      to,
    })),
  );
}

/** The symbol chart of a section, some rows at a time. */
export function ChartPart({ worked }: { worked: Worked }) {
  const { terms, units, hand } = useSchools();
  const all = chartedOf(worked);
  const [chosen, setChosen] = useState<string>();
  const [begins, setBegins] = useState(0);
  const section = all.find(({ id }) => id === chosen) ?? all[0];
  if (!section) return null;
  const from = Math.min(section.from + begins, section.to);
  const to = Math.min(section.to, from + AT_A_TIME - 1);
  const save = () => {
    const chart = chartOf(worked.steps, { piece: section.piece, from, to, left: hand === 'left' });
    const title = `${worked.title}, ${section.name}, ${from} to ${to}`;
    if (chart) saveText(chartSvg(chart, title, { terms, units }), fileNameOf(title, 'svg'), 'image/svg+xml');
  };
  return (
    <View {...{ dataSet: { print: 'whole' } }} style={{ gap: 6 }}>
      <Words as="heading" level={2}>
        Chart
      </Words>
      {all.length > 1 ? (
        <Pick
          label="Charted"
          value={section.id}
          options={all}
          onChange={(id) => {
            setChosen(id);
            setBegins(0);
          }}
        />
      ) : null}
      <ChartPicture key={`${section.id} ${from}`} steps={worked.steps} piece={section.piece} from={from} to={to} />
      <View {...{ dataSet: { screen: 'only' } }} style={{ flexDirection: 'row' }}>
        <Action onPress={save}>Save this chart as a picture</Action>
      </View>
      {section.to - section.from >= AT_A_TIME ? (
        <View {...{ dataSet: { screen: 'only' } }} style={{ flexDirection: 'row', alignItems: 'center', gap: 16 }}>
          <Action disabled={from <= section.from} onPress={() => setBegins(Math.max(0, begins - AT_A_TIME))}>
            Rows before
          </Action>
          <Words as="small" tone="faint">{`${from} to ${to} of ${section.to}`}</Words>
          <Action disabled={to >= section.to} onPress={() => setBegins(begins + AT_A_TIME)}>
            Rows after
          </Action>
        </View>
      ) : null}
    </View>
  );
}
