import { LONGEST_MM, yarnOf, type GaugeSpec, type Make } from '@keep-snug/core';
import { useState } from 'react';
import { View } from 'react-native';
import { Action } from '@/ui/actions/Action';
import { FieldRow } from '@/ui/layout/FieldRow';
import { LengthField, type TypedLength } from '@/ui/fields/LengthField';
import { NumberField } from '@/ui/fields/NumberField';
import { Panel } from '@/ui/layout/Panel';
import { useWord } from '@/reading/useWord';
import { Words } from '@/ui/layout/Words';
import { useLibrary } from '@/data/library';
import { useYarnInBox } from '@/reading/useYarnInBox';

interface Props {
  make: Make;
  onClose: () => void;
}

/** So many are counted unless something else is typed. */
const COUNTED = { stitches: 10, rows: 8 };

/** What a practice swatch measures, kept as a swatch of its yarn. */
export function SwatchPanel({ make: { plan, title }, onClose }: Props) {
  const word = useWord();
  const add = useLibrary((state) => state.add);
  const { fabric } = plan;
  const yarn = yarnOf(fabric);
  const inBox = useYarnInBox(yarn);
  const [stitches, setStitches] = useState(COUNTED.stitches);
  const [across, setAcross] = useState<TypedLength>();
  const [rows, setRows] = useState(COUNTED.rows);
  const [up, setUp] = useState<TypedLength>();
  const [asked, setAsked] = useState(false);
  const save = () => {
    if (!across && !up) return setAsked(true);
    const gauge: GaugeSpec = {
      ...(across ? { stitches: [{ count: stitches, overMm: across.mm, by: 'tape' as const }] } : {}),
      ...(up ? { rows: [{ count: rows, overMm: up.mm, by: 'tape' as const }] } : {}),
    };
    const name = yarn.name ?? 'yarn';
    // a yarn that is not in the box is put there with its swatch
    const id = inBox?.id ?? add('yarns', { name, yarn });
    add('swatches', {
      name: `${title.replace(/^Practice swatch: /, '')} on ${fabric.hookMm} mm`,
      yarn: id,
      stitch: fabric.stitch,
      hookMm: fabric.hookMm,
      ...(fabric.pattern ? { pattern: fabric.pattern } : {}),
      gauge,
    });
    return onClose();
  };
  return (
    <Panel title="Measure your swatch" onClose={onClose}>
      <Words>
        {word(
          'Count over as many as you can, two stitches away from every edge. It becomes your {gauge} for this yarn.',
        )}
      </Words>
      <FieldRow>
        <NumberField label="Stitches counted" value={stitches} min={2} max={200} whole onChange={setStitches} />
        <LengthField
          label="Their width"
          mm={across?.mm}
          typed={across?.typed}
          min={5}
          max={LONGEST_MM}
          onChange={setAcross}
          onClear={() => setAcross(undefined)}
        />
      </FieldRow>
      <FieldRow>
        <NumberField label="Rows counted" value={rows} min={2} max={200} whole onChange={setRows} />
        <LengthField
          label="Their height"
          mm={up?.mm}
          typed={up?.typed}
          min={5}
          max={LONGEST_MM}
          onChange={setUp}
          onClear={() => setUp(undefined)}
        />
      </FieldRow>
      {asked && !across && !up ? (
        <Words as="small" tone="rowan" live>
          Nothing is measured yet. Type the width of your stitches or the height of your rows, such as 62 mm.
        </Words>
      ) : null}
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: 16 }}>
        <Action main onPress={save}>
          Save as a swatch
        </Action>
        <Action onPress={onClose}>Skip</Action>
      </View>
    </Panel>
  );
}
