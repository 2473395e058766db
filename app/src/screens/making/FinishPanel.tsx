import {
  capital,
  isBlank,
  LONGEST_MM,
  pocketsMade,
  sizesMade,
  strapLoop,
  withoutHidden,
  type Fitted,
  finishDoubts,
  type FinishDoubts,
  wordLengths,
  type Happening,
  type Make,
  type SizeMade,
  type Worked,
} from '@keep-snug/core';
import { useState } from 'react';
import { View } from 'react-native';
import { FieldRow } from '@/ui/layout/FieldRow';
import { Action } from '@/ui/actions/Action';
import { figureLength } from '@/ui/lists/figureLength';
import { Notice } from '@/ui/notices/Notice';
import { CheckLine } from '@/ui/fields/CheckLine';
import { LengthField, type TypedLength } from '@/ui/fields/LengthField';
import { NumberField } from '@/ui/fields/NumberField';
import { Panel } from '@/ui/layout/Panel';
import { RadioList } from '@/ui/fields/RadioList';
import { TextField } from '@/ui/fields/TextField';
import { Words } from '@/ui/layout/Words';
import { useEvents, useMakeEvents } from '@/data/events';
import { useSettings } from '@/data/settings';
import { settleYarn } from '@/data/takeFromBox';
import { Learnt } from './Learnt';
import { atTheHook } from '@/ui/lists/PaceLine';
import { PictureField } from '@/ui/fields/PictureField';
import type { Progress } from '@/reading/useProgress';
import { FITTED } from '../../reading/fitted';

interface Props {
  id: string;
  make: Make;
  worked: Pick<Worked, 'outside' | 'inside' | 'fittings' | 'rooms' | 'pockets'>;
  pace: Progress['pace'];
  onClose: () => void;
}

/** What is asked of a finished piece, in the order in which it is picked up and looked at. */
const SIZES: readonly { of: SizeMade['of']; label: string }[] = [
  { of: 'width', label: 'Width' },
  { of: 'height', label: 'Height' },
];

const LONGEST_NOTE = 2000;

type Finish = Extract<Happening, { kind: 'finished' }>;

/** How it came out: each line can be left out. What it teaches is told before the ledger is opened. */
export function FinishPanel({ id, make, worked, pace, onClose }: Props) {
  const happened = useEvents((state) => state.happened);
  const units = useSettings((state) => state.units);
  const [sizes, setSizes] = useState<Partial<Record<SizeMade['of'], TypedLength>>>({});
  const [pockets, setPockets] = useState<readonly (TypedLength | undefined)[]>([]);
  const [hangs, setHangs] = useState<TypedLength>();
  const [fits, setFits] = useState<Fitted | undefined>();
  const [rooms, setRooms] = useState<readonly string[]>([]);
  const [grams, setGrams] = useState<number>();
  const [minutes, setMinutes] = useState<number>();
  const [picture, setPicture] = useState<string>();
  const [note, setNote] = useState('');
  const [saved, setSaved] = useState(false);
  const [asked, setAsked] = useState<FinishDoubts>({});
  const events = useMakeEvents(id);
  const planned = sizesMade(worked, []);
  const strap = strapLoop(worked);
  const asMade = {
    ...Object.fromEntries(Object.entries(sizes).map(([of, { mm }]) => [of, mm])),
    ...(hangs ? { strap: hangs.mm } : {}),
  };
  const line = withoutHidden(note.trim().slice(0, LONGEST_NOTE), 'lines');
  const finish: Finish = {
    kind: 'finished',
    ...(Object.keys(asMade).length > 0 ? { asMade } : {}),
    ...(pockets.some(Boolean) ? { pockets: worked.pockets.map((_, index) => pockets[index]?.mm ?? null) } : {}),
    ...(fits ? { fits } : {}),
    ...(fits && fits !== 'right' && rooms.length > 0 ? { rooms } : {}),
    ...(grams === undefined ? {} : { grams }),
    ...(minutes === undefined ? {} : { minutes }),
    ...(isBlank(line) ? {} : { note: line }),
    ...(picture ? { picture } : {}),
  };
  // once something was asked, for as long as it still stands there
  const doubts = Object.keys(asked).length > 0 ? finishDoubts(make.plan, events, finish) : {};
  const doubtAt = (key: keyof FinishDoubts) => doubts[key] && wordLengths(doubts[key], units);
  const save = () => {
    if (Object.keys(finish).length === 1) return onClose();
    const now = finishDoubts(make.plan, events, finish);
    // asked once, at its field: what is kept all the same teaches nothing of the hand
    if (Object.entries(now).some(([key, doubt]) => asked[key as keyof FinishDoubts] !== doubt)) return setAsked(now);
    happened(id, finish);
    settleYarn(id);
    return setSaved(true);
  };
  if (saved)
    return (
      <Panel title="What this taught" onClose={onClose}>
        <Learnt id={id} make={make} />
        <Action main onPress={onClose}>
          Go to the ledger
        </Action>
      </Panel>
    );
  return (
    <Panel title="How did it come out?" onClose={onClose}>
      <Words as="small" tone="faint">
        Leave empty what you have not measured. The next plan learns from your answers.
      </Words>
      <FieldRow>
        {SIZES.map(({ of, label }) => (
          <LengthField
            key={of}
            label={label}
            doubt={doubtAt(of as 'width' | 'height')}
            help={`Planned: ${figureLength(planned.find((size) => size.of === of)!.planned, units)}`}
            mm={sizes[of]?.mm}
            typed={sizes[of]?.typed}
            min={1}
            max={LONGEST_MM}
            onChange={(length) => setSizes((old) => ({ ...old, [of]: length }))}
            onClear={() => setSizes(({ [of]: _cleared, ...old }) => old)}
          />
        ))}
      </FieldRow>
      <PocketFields worked={worked} typed={pockets} onChange={setPockets} />
      {strap ? (
        <FieldRow>
          <LengthField
            label="Strap, hanging with the item in it"
            help={`From anchor to anchor, along it. Planned: ${figureLength(strap.loop, units)}`}
            mm={hangs?.mm}
            typed={hangs?.typed}
            min={1}
            max={LONGEST_MM}
            onChange={setHangs}
            onClear={() => setHangs(undefined)}
          />
        </FieldRow>
      ) : null}
      <View>
        <Words as="smallStrong">How does it sit?</Words>
        <RadioList label="How does it sit?" options={FITTED} value={fits as Fitted} onChange={setFits} />
        <WhichRooms fits={fits} rooms={worked.rooms} chosen={rooms} onChange={setRooms} />
      </View>
      <FieldRow>
        <NumberField
          label="Yarn used"
          doubt={doubtAt('grams')}
          unit="g"
          value={grams}
          min={0}
          max={100_000}
          onChange={setGrams}
          onClear={() => setGrams(undefined)}
        />
        <NumberField
          label="Time"
          doubt={doubtAt('minutes')}
          unit="minutes"
          help={pace ? `By your rows: ${atTheHook(pace.minutes)}. Leave it empty to keep that.` : 'Breaks left out.'}
          value={minutes}
          min={1}
          max={100_000}
          onChange={setMinutes}
          onClear={() => setMinutes(undefined)}
        />
        <TextField label="For next time" value={note} onChange={setNote} hint="A line that you will read then." />
      </FieldRow>
      {Object.keys(doubts).length === 0 ? null : (
        <Notice
          tone="thread"
          word="Is this right?"
          text="Look at what is asked above: change it, or save once more. It is kept then, and the next plan does not learn from it."
        />
      )}
      <PictureField picture={picture} onChange={setPicture} />
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: 16 }}>
        <Action main onPress={save}>
          Save
        </Action>
        <Action onPress={onClose}>Skip</Action>
      </View>
    </Panel>
  );
}

interface PocketProps {
  worked: Pick<Worked, 'pockets'>;
  typed: readonly (TypedLength | undefined)[];
  onChange: (typed: readonly (TypedLength | undefined)[]) => void;
}

/** How deep each of several pockets came out. */
function PocketFields({ worked, typed, onChange }: PocketProps) {
  const units = useSettings((state) => state.units);
  const planned = pocketsMade(worked, []);
  if (planned.length < 2) return null;
  const set = (at: number, length: TypedLength | undefined) =>
    onChange(planned.map((_, index) => (index === at ? length : typed[index])));
  return (
    <FieldRow>
      {planned.map(({ name, planned: mm }, index) => (
        <LengthField
          key={name}
          label={`Depth inside the ${name}`}
          help={`Planned: ${figureLength(mm, units)}`}
          mm={typed[index]?.mm}
          typed={typed[index]?.typed}
          min={1}
          max={LONGEST_MM}
          onChange={(length) => set(index, length)}
          onClear={() => set(index, undefined)}
        />
      ))}
    </FieldRow>
  );
}

interface WhichProps {
  fits: Fitted | undefined;
  rooms: readonly string[];
  chosen: readonly string[];
  onChange: (rooms: readonly string[]) => void;
}

/** Where each of several things has a room of its own: which of them do not sit. */
function WhichRooms({ fits, rooms, chosen, onChange }: WhichProps) {
  if (rooms.length < 2 || fits === undefined || fits === 'right') return null;
  const label = `Which of them are ${fits}?`;
  return (
    <View role="group" aria-label={label}>
      <Words as="smallStrong">{label}</Words>
      {rooms.map((room) => (
        <CheckLine
          key={room}
          label={capital(room)}
          on={chosen.includes(room)}
          onChange={(on) => onChange(on ? [...chosen, room] : chosen.filter((one) => one !== room))}
        />
      ))}
    </View>
  );
}
