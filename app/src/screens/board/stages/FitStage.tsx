import { FITS, fitDefinition, formatDifference, formatSigned, type FitName, type FitSpec } from '@keep-snug/core';
import { View } from 'react-native';
import { FieldRow } from '@/ui/layout/FieldRow';
import { FigureLine } from '@/ui/lists/FigureLine';
import { faultAt } from '@/ui/fields/OptionFields';
import { LengthField } from '@/ui/fields/LengthField';
import { NumberField } from '@/ui/fields/NumberField';
import { Tabs } from '@/ui/layout/Tabs';
import { Words } from '@/ui/layout/Words';
import { CountTags } from '../CountTags';
import { EaseTape } from '../EaseTape';
import { useReader } from '@/reading/useWorked';
import type { Stage, StageProps } from './definition';

/** Typed eases: what the schema of a plan takes. */
const EASE = { min: -50, max: 200 };

function Body({ plan, worked, faults, edit }: StageProps) {
  const { fit } = plan;
  const { units } = useReader();
  const setFit = (next: FitSpec) => edit(({ picks: _picks, ...old }) => ({ ...old, fit: next }));
  const percent = worked ? (100 * worked.wanted.girth.value) / worked.thing.girth.value : 0;
  return (
    <View style={{ gap: 12 }}>
      <Tabs as="radio" label="Fit" options={FITS} value={fit.name} onChange={(name: FitName) => setFit({ name })} />
      <Words as="small" tone="faint">
        {fitDefinition(fit.name).meantFor}
      </Words>
      <EaseTape percent={percent} onChange={(easePercent) => setFit({ name: fit.name, easePercent, ...cover(fit) })} />
      <FieldRow>
        <NumberField
          label="Ease (around)"
          unit="%"
          value={fit.easePercent ?? Number(percent.toFixed(1))}
          {...EASE}
          isDefault={fit.easePercent === undefined}
          help={fit.easePercent === undefined ? `default for ${fit.name}` : 'set by you'}
          onChange={(easePercent) => setFit({ name: fit.name, easePercent, ...cover(fit) })}
          onClear={() => setFit({ name: fit.name, ...cover(fit) })}
        />
        <LengthField
          label="Extra height"
          mm={worked?.wanted.cover.value}
          min={0}
          max={500}
          help={fit.coverMm === undefined ? `default for ${fit.name}` : 'set by you'}
          fault={faultAt(faults, 'fit.coverMm')}
          isDefault={fit.coverMm === undefined}
          onChange={({ mm }) => setFit({ ...fit, coverMm: mm })}
          onClear={() => setFit(uncovered(fit))}
        />
      </FieldRow>
      {worked ? (
        <>
          {worked.choices.map((choice) => (
            <CountTags
              key={choice.id}
              choice={choice}
              estimate={worked.fabric.stitchWidth.kind === 'prior'}
              onPick={(count) => edit((old) => ({ ...old, picks: { ...old.picks, [choice.id]: count } }))}
            />
          ))}
          <View>
            <FigureLine name="Item circumference" figure={worked.thing.girth} />
            <FigureLine name="Inside circumference" figure={worked.inside.girth} />
            <FigureLine
              name="Ease, with these counts"
              figure={worked.ease.girth}
              text={formatDifference(worked.ease.girth.value, worked.ease.girth.sd ?? 1, units)}
            />
            <FigureLine
              name="Extra height, with these counts"
              figure={worked.ease.cover}
              text={formatDifference(worked.ease.cover.value, worked.ease.cover.sd ?? 1, units)}
            />
          </View>
        </>
      ) : null}
    </View>
  );
}

const uncovered = ({ coverMm: _cover, ...fit }: FitSpec): FitSpec => fit;

function cover({ coverMm }: FitSpec): Pick<FitSpec, 'coverMm'> {
  return coverMm === undefined ? {} : { coverMm };
}

/** What counts come to is told beside what was asked where they are so far apart, % (ours). */
const APART = 3;

export const fitStage: Stage = {
  id: 'fit',
  name: 'Fit',
  owns: ['fit', 'picks'],
  summary: ({ fit }, worked, say) => {
    if (!worked) return fit.name;
    const ease = worked.ease.girth.value;
    const around = (mm: number) => (100 * mm) / worked.thing.girth.value;
    const [share, asked] = [around(ease), around(worked.wanted.girth.value)];
    const told = `${fit.name}, ${formatSigned(share, 0)} % around, ${say.difference(ease, worked.ease.girth.sd ?? 1)}`;
    if (Math.abs(share - asked) < APART) return told;
    const why = worked.choices.flatMap(({ costs }) => costs.map(({ text }) => text))[0] ?? 'whole stitches';
    return `${told}; ${formatSigned(asked, 0)} % asked, the rest is ${why}`;
  },
  Body,
};
