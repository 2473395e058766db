import { formatLength, isBlank, thingInChains, upTo, workFabric, yarnOf, type ThingForm } from '@keep-snug/core';
import { useState } from 'react';
import { View } from 'react-native';
import { planInChains, usualFabric } from '@/reading/newPlan';
import { Action } from '@/ui/actions/Action';
import { FieldRow } from '@/ui/layout/FieldRow';
import { NumberField } from '@/ui/fields/NumberField';
import { SubmitProvider } from '@/ui/fields/submit';
import { Tabs } from '@/ui/layout/Tabs';
import { TextField } from '@/ui/fields/TextField';
import { Words } from '@/ui/layout/Words';
import { useLibrary } from '@/data/library';
import { useSettings } from '@/data/settings';

/** How thick a flat item is by eye, mm: compared with what everybody has held. */
const THICKNESS = [
  { id: '2', name: 'a card' },
  { id: '10', name: 'a phone' },
  { id: '25', name: 'a thick book' },
] as const;

type Thickness = (typeof THICKNESS)[number]['id'];

const FORMS = [
  { id: 'flat', name: 'flat' },
  { id: 'round', name: 'round' },
] as const;

const COUNTED = [
  { id: 'chains', name: 'height in chains' },
  { id: 'rows', name: 'in rows' },
] as const;

type Counted = (typeof COUNTED)[number]['id'];

/** How high it is: as high as so many chains reach, or so many rows as are wished. */
const HEIGHTS: Readonly<Record<Counted, { label: string; help: string }>> = {
  chains: { label: 'Chains along its height', help: 'In the direction it slides in.' },
  rows: { label: 'Rows high', help: 'As many rows as you like.' },
};

/**
 * No tape at hand: the maker's own chains are the tape. So many reach around the item, so many along it; the counts then
 * follow from chains as she makes them, whatever they measure.
 */
export function NoTape({ onPlan }: { onPlan: (plan: string) => void }) {
  const units = useSettings((state) => state.units);
  const [name, setName] = useState('');
  const [form, setForm] = useState<ThingForm>('flat');
  const [counted, setCounted] = useState<Counted>('chains');
  const [thick, setThick] = useState<Thickness>('10');
  const [around, setAround] = useState<number>();
  const [along, setAlong] = useState<number>();
  const [tried, setTried] = useState(false);
  const fabric = usualFabric();
  const sizes = workFabric(fabric);
  const chain = sizes.chain.value;
  const step = counted === 'chains' ? chain : sizes.rowHeight.value;
  const plan = () => {
    setTried(true);
    if (isBlank(name) || around === undefined || along === undefined) return;
    const thing = thingInChains(form, {
      name: upTo(name.trim(), 120),
      girth: around * chain,
      height: along * step,
      depth: Number(thick),
    });
    useLibrary.getState().add('things', { name: String(thing.name), thing });
    onPlan(planInChains(thing, fabric, around));
  };
  const missing = (count: number | undefined, what: string) =>
    tried && count === undefined ? `Missing. Chain until it reaches ${what}, and type how many.` : undefined;
  return (
    <SubmitProvider value={plan}>
      <Words tone="faint">Make a chain with your own yarn and hook, hold it against the item and count.</Words>
      <FieldRow>
        <TextField
          label="Name"
          value={name}
          onChange={setName}
          error={tried && isBlank(name) ? 'No name yet. Type one, such as field phone.' : undefined}
        />
      </FieldRow>
      <Tabs as="radio" label="The item is" options={FORMS} value={form} onChange={setForm} />
      <FieldRow>
        <NumberField
          label="Chains around it"
          value={around}
          min={4}
          max={1000}
          whole
          help={missing(around, 'around it') ?? 'So many chains reach just around it.'}
          onChange={setAround}
          onClear={() => setAround(undefined)}
        />
        <NumberField
          label={HEIGHTS[counted].label}
          value={along}
          min={2}
          max={1000}
          whole
          help={missing(along, 'from its bottom to its top') ?? HEIGHTS[counted].help}
          onChange={setAlong}
          onClear={() => setAlong(undefined)}
        />
      </FieldRow>
      <Tabs as="radio" label="Height counted in" options={COUNTED} value={counted} onChange={setCounted} />
      {form === 'flat' ? (
        <View style={{ gap: 4 }}>
          <Words as="smallStrong">It is about as thick as</Words>
          <Tabs as="radio" label="It is about as thick as" options={THICKNESS} value={thick} onChange={setThick} />
        </View>
      ) : null}
      <Words as="small" tone="faint">
        {`With ${yarnOf(fabric).name ?? 'your yarn'} on a hook of ${fabric.hookMm} mm a chain is about ${formatLength(chain, units)}. You can change yarn and hook in the plan.`}
      </Words>
      <View style={{ alignItems: 'flex-start', paddingBottom: 24 }}>
        <Action main onPress={plan}>
          Plan a cover
        </Action>
      </View>
    </SubmitProvider>
  );
}
