import {
  blankDraft,
  readDraft,
  THINGS,
  thingDefinition,
  type Plan,
  type ThingDraft,
  type ThingSpec,
} from '@keep-snug/core';
import { TERN_POINT } from '@keep-snug/core/demo';
import { act, fireEvent, screen } from '@testing-library/react-native';
import { useEffect, useState } from 'react';
import { CarrierFields } from '@/screens/board/stages/CarrierFields';
import { choose, show } from '@/fixtures/show';
import { useDraft } from '@/data/draft';
import { serverHas } from '@/fixtures/serverHas';
import { useLibrary } from '@/data/library';
import { useSettings } from '@/data/settings';
import { ThingForm, useThingDraft } from '@/ui/fields/ThingForm';
import { ThingEditor } from './ThingEditor';
import { ThingFields } from '@/ui/fields/ThingFields';
import { ThingLines } from '@/ui/fields/ThingLines';

const thingOf = (name: string) => Object.values(TERN_POINT.things).find((record) => record.name.includes(name))!.thing;
let now: ThingSpec;

function Editor({ start }: { start: ThingSpec }) {
  const [thing, setThing] = useState(start);
  useEffect(() => {
    now = thing;
  }, [thing]);
  return <ThingFields thing={thing} path="thing" faults={[]} onChange={setThing} />;
}

beforeEach(() => {
  useDraft.getState().clear();
  useSettings.getState().set({ units: 'mm' });
  for (const kind of ['things', 'plans'] as const) {
    useLibrary.setState(({ shelves }) => ({ shelves: { ...shelves, [kind]: {} } }));
    serverHas(kind, TERN_POINT[kind]);
  }
});

describe('a thing changed in place', () => {
  it('keeps every measure as it was typed', () => {
    show(<Editor start={thingOf('field phone')} />);
    fireEvent.changeText(screen.getByLabelText('Width'), '3 1/4');
    expect(now.width).toEqual({ mm: 82.55, by: 'ruler', typed: '3 1/4' });
    fireEvent.changeText(screen.getByLabelText('Width'), 'wide');
    expect(screen.getByText(/“wide” is not a length/)).toBeTruthy();
    expect(now.width).toMatchObject({ mm: 82.55 });
  });

  it('lets one of two measures go, and never both', () => {
    show(<Editor start={{ kind: 'cylinder', height: { mm: 200 }, diameter: { mm: 70 }, girth: { mm: 221 } }} />);
    fireEvent.changeText(screen.getByLabelText('Diameter'), '');
    expect(now.diameter).toBeUndefined();
    fireEvent.changeText(screen.getByLabelText('Circumference'), '');
    expect(now.girth).toMatchObject({ mm: 221 });
  });

  it('takes numbers, and clears them', () => {
    show(<Editor start={thingOf('flask')} />);
    fireEvent.changeText(screen.getByLabelText('Empty weight'), '280');
    expect(now.massG).toBe(280);
    fireEvent.changeText(screen.getByLabelText('Empty weight'), '');
    expect(now.massG).toBeUndefined();
  });

  it('adds tools like the last one, and takes them out', () => {
    show(<Editor start={thingOf('storm days')} />);
    fireEvent.press(screen.getByText('Add a tool'));
    expect(now.tools).toHaveLength(4);
    fireEvent.press(screen.getAllByLabelText('Remove: snips')[0]!);
    expect((now.tools as { name: string }[]).map(({ name }) => name)).toEqual(['slim hooks', 'stout hooks', 'snips']);
  });

  it('changes a member of a set by the fields of its own kind', () => {
    show(<Editor start={thingOf('hide needs')} />);
    fireEvent.changeText(screen.getAllByLabelText('Width')[0]!, '110');
    expect((now.members as ThingSpec[])[0]!.width).toMatchObject({ mm: 110 });
    fireEvent.press(screen.getByLabelText('Remove: field phone'));
    expect(now.members).toHaveLength(2);
  });

  it('takes a member from the shelf, with its name', () => {
    show(<Editor start={thingOf('hide needs')} />);
    const before = (now.members as ThingSpec[]).length;
    choose('Add one more', 'chart loupe');
    expect(now.members).toHaveLength(before + 1);
    expect((now.members as ThingSpec[]).at(-1)).toMatchObject({ name: 'chart loupe' });
  });

  it('is measured with one thing, said once, unless one measure was taken otherwise', () => {
    show(<Editor start={thingOf('field phone')} />);
    expect(screen.queryByLabelText('Width: measured with')).toBeNull();
    choose('Measured with', 'calipers');
    expect(now).toMatchObject({ width: { by: 'calliper' }, height: { by: 'calliper' } });
    fireEvent.press(screen.getByLabelText('Say it for each measurement'));
    choose('Height: measured with', 'tape');
    expect(now).toMatchObject({ width: { by: 'calliper' }, height: { by: 'tape' } });
    choose('Measured with', 'ruler');
    expect(now).toMatchObject({ width: { by: 'ruler' }, height: { by: 'tape' } });
  });

  it('questions a number that was likely meant in another unit, and puts it right by a press', () => {
    useSettings.getState().set({ units: 'in' });
    show(<Editor start={thingOf('field phone')} />);
    fireEvent.changeText(screen.getByLabelText('Width'), '82');
    expect(screen.getByText('Did you mean mm?')).toBeTruthy();
    fireEvent.press(screen.getByText('Use 82 mm'));
    expect(now.width).toMatchObject({ mm: 82 });
    expect(screen.queryByText('Did you mean mm?')).toBeNull();
    act(() => useSettings.getState().set({ units: 'mm' }));
  });
});

describe('a thing on the shelf, measured anew', () => {
  const [id, body] = Object.entries(TERN_POINT.things).find(([, record]) => record.name === 'tissue packet')!;

  function Shelf() {
    const held = useLibrary((state) => state.shelves.things[id]);
    return held ? <ThingEditor id={id} held={held} onClose={() => undefined} /> : null;
  }

  it('asks nothing while nothing was changed, then which plans follow', () => {
    show(<Shelf />);
    expect(body.thing.kind).toBe('slab');
    expect(screen.queryByText(/^Update these plans/)).toBeNull();
    fireEvent.changeText(screen.getByLabelText('Width'), '60');
    expect(screen.getByText(/^Update these plans/)).toBeTruthy();
    const [first] = screen.getAllByRole('checkbox');
    fireEvent.press(first!);
    expect(screen.getByText('Update 1 plan')).toBeTruthy();
    fireEvent.press(first!);
    fireEvent.press(screen.getByText('Update 2 plans'));
    const widths = Object.values(useLibrary.getState().shelves.plans)
      .filter((held) => held.body.thing.name === 'tissue packet')
      .map((held) => (held.body.thing.width as { mm: number }).mm);
    expect(widths).toEqual([60, 60]);
  });

  it('may be called something else', () => {
    show(<Shelf />);
    fireEvent.changeText(screen.getByLabelText('Name'), 'soft tissues');
    expect(useLibrary.getState().shelves.things[id]!.body).toMatchObject({
      name: 'soft tissues',
      thing: { name: 'soft tissues' },
    });
  });
});

describe('what carries it', () => {
  function Carried({ start }: { start: Plan }) {
    const [plan, setPlan] = useState(start);
    useEffect(() => {
      carrier = plan.carrier;
    }, [plan]);
    return <CarrierFields plan={plan} faults={[]} edit={(work) => setPlan(work)} />;
  }
  let carrier: Plan['carrier'];

  it('is a bar with both drops, and can be measured', () => {
    const caddy = Object.values(TERN_POINT.plans).find(({ shape }) => shape.kind === 'saddle')!;
    show(<Carried start={caddy} />);
    fireEvent.changeText(screen.getByLabelText('Bar diameter'), '2 in');
    expect(carrier!.diameter).toMatchObject({ mm: 50.8 });
    fireEvent.changeText(screen.getByLabelText('Bar diameter'), '');
    expect(carrier!.diameter).toBeUndefined();
    expect(screen.queryByLabelText('Arm width')).toBeNull();
    fireEvent.press(screen.getByLabelText(/^flat on top/));
    expect(screen.queryByLabelText('Bar diameter')).toBeNull();
    fireEvent.changeText(screen.getByLabelText('Arm width'), '90');
    expect(carrier).toMatchObject({ section: 'flat', width: { mm: 90 } });
    fireEvent.changeText(screen.getByLabelText('Drop behind'), '90');
    expect(carrier!.dropBack).toMatchObject({ mm: 90 });
  });
});

describe('a draft', () => {
  function Lines({ tried }: { tried: boolean }) {
    const { draft } = useThingDraft();
    const read = readDraft(draft, 'mm');
    return <ThingLines definition={thingDefinition(draft.kind)!} thing={read.thing} read={read} tried={tried} />;
  }
  const shown = (kind: string, texts: Record<string, string> = {}, tried = true) => {
    const start: ThingDraft = { ...blankDraft(thingDefinition(kind)!), texts };
    show(
      <ThingForm start={start} onType={useDraft.getState().keep}>
        <Lines tried={tried} />
      </ThingForm>,
    );
    return readDraft(start, 'mm').faults;
  };

  it.each(THINGS.map(({ id }) => [id]))('of %s shows all its kind asks for', (id) => {
    const definition = thingDefinition(id)!;
    const faults = shown(id);
    for (const { label } of definition.measures) expect(screen.getByLabelText(label)).toBeTruthy();
    for (const { label } of definition.list?.measures ?? []) {
      if (definition.list!.least > 0) expect(screen.getByLabelText(label)).toBeTruthy();
    }
    expect(Object.keys(faults).length).toBeGreaterThan(0);
  });

  it('of a bottle shows the other measure at once, and moves a mixed up one', () => {
    shown('cylinder', { diameter: '240' }, false);
    expect(screen.getByText('A diameter of 240 mm is 754 mm around.')).toBeTruthy();
    fireEvent.press(screen.getByText('It is the circumference'));
    expect(useDraft.getState().draft.texts).toMatchObject({ diameter: '', girth: '240' });
    expect(screen.getByText('240 mm around is 76.4 mm in diameter.')).toBeTruthy();
  });

  it('is kept on the device as it is typed, each line by its name', () => {
    shown('slab', {}, false);
    fireEvent.changeText(screen.getByLabelText('Width'), 'about 3');
    fireEvent.changeText(screen.getByLabelText('Height'), '3 1/4');
    expect(useDraft.getState().draft.texts).toMatchObject({ width: 'about 3', height: '3 1/4' });
  });
});
