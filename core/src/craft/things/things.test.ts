import fc from 'fast-check';
import { measured } from '../../base/figure';
import { CARRIERS, workBar, type CarrierSpec } from './carrier';
import { mixedUp } from './cylinder';
import { checkThing, workThing } from './index';
import { toolsOf } from './tools';

const size = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const bottle = { kind: 'cylinder', height: { mm: 240 }, diameter: { mm: 70 } };

describe('a cylinder', () => {
  it('is π times its diameter round, and by tape where one was laid', () => {
    fc.assert(
      fc.property(size(10, 400), (mm) => {
        expect(workThing({ ...bottle, diameter: { mm } }).girth.value).toBeCloseTo(Math.PI * mm, 6);
      }),
    );
    expect(workThing({ ...bottle, girth: { mm: 225 } }).girth).toMatchObject({ value: 225, sd: 2 });
    expect(workThing({ kind: 'cylinder', height: { mm: 240 }, girth: { mm: 314.159 } }).width.value).toBeCloseTo(
      100,
      3,
    );
  });

  it('questions a measure that is odd as given and ordinary as the other', () => {
    expect(mixedUp(240, 'across')).toMatchObject({
      severity: 'question',
      text: expect.stringMatching(/diameter of \{typed:240\} means \{mm:753.982\} around.*large/),
    });
    expect(mixedUp(72, 'round')).toMatchObject({
      text: expect.stringMatching(/\{typed:72\} around means a diameter of \{mm:22.918\}.*small/),
    });
    expect([mixedUp(72, 'across'), mixedUp(240, 'round'), mixedUp(900, 'across')]).toEqual([
      undefined,
      undefined,
      undefined,
    ]);
  });

  it('questions two measures that disagree, and uses the one round', () => {
    const { advice, girth } = workThing({ ...bottle, girth: { mm: 260 } });
    expect(advice.map(({ id }) => id)).toEqual(['across-against-round']);
    expect(girth.value).toBe(260);
    expect(workThing({ ...bottle, girth: { mm: 222 } }).advice).toEqual([]);
  });

  it('has its stations from the bottom up, and is sized to the widest of them', () => {
    const necked = workThing({
      ...bottle,
      shoulderHeight: { mm: 180 },
      neckDiameter: { mm: 90 },
      stations: [{ height: { mm: 60 }, diameter: { mm: 66 } }],
    });
    expect(necked.stations!.map(({ height }) => height)).toEqual([0, 60, 180, 240]);
    expect(necked.girth.value).toBeCloseTo(90 * Math.PI, 6);
    expect(necked.advice).toEqual([expect.objectContaining({ id: 'wider-above' })]);
  });

  it('carries what it weighs and what it holds', () => {
    expect(workThing({ ...bottle, massG: 300, volumeMl: 750 }).mass!.value).toBe(1050);
    expect(workThing(bottle).mass).toBeUndefined();
  });

  it('refuses a shoulder above its top, naming both', () => {
    expect(checkThing({ ...bottle, shoulderHeight: { mm: 300 } })).toEqual([
      { path: 'shoulderHeight.mm', message: expect.stringMatching(/\{typed:300\}.*\{most:240\} or less/) },
    ]);
    expect(checkThing({ ...bottle, stations: [{ height: { mm: 250 }, diameter: { mm: 20 } }] })[0]!.path).toBe(
      'stations[0].height.mm',
    );
  });
});

describe('tools', () => {
  const hooks = {
    kind: 'tools',
    tools: [
      { name: 'hook', length: { mm: 140 }, grip: { mm: 10 }, tip: { mm: 4 }, count: 3 },
      { length: { mm: 160 }, grip: { mm: 30 } },
    ],
  };

  it('lie side by side in one layer', () => {
    const worked = workThing(hooks);
    expect([worked.width.value, worked.depth.value, worked.height.value]).toEqual([60, 30, 160]);
    expect(worked.girth.value).toBeCloseTo(2 * (60 - 30) + Math.PI * 30, 6);
  });

  it('each want a channel, alike ones as often as there are', () => {
    const wants = toolsOf(hooks);
    expect(wants.map(({ name }) => name)).toEqual(['hook', 'hook', 'hook', 'tool 2']);
    expect(wants[0]).toMatchObject({ tip: 4, tool: true, girth: { value: expect.closeTo(10 * Math.PI, 6) } });
  });

  it('are refused thicker than long', () => {
    expect(checkThing({ kind: 'tools', tools: [{ length: { mm: 20 }, grip: { mm: 40 } }] })).toEqual([
      { path: 'tools[0].grip.mm', message: expect.stringMatching(/\{typed:40\}.*\{typed:20\}.*\{most:20\} or less/) },
    ]);
  });
});

describe('a set', () => {
  const phone = { kind: 'slab', name: 'phone', width: { mm: 78 }, height: { mm: 164 }, depth: { mm: 14 }, massG: 240 };
  const pens = { kind: 'tools', tools: [{ length: { mm: 145 }, grip: { mm: 11 }, count: 2 }] };

  it('is as far round as all its members together, with a pocket for each', () => {
    const worked = workThing({ kind: 'set', members: [phone, pens] });
    expect(worked.pockets).toBe(3);
    expect(worked.girth.value).toBeCloseTo(workThing(phone).girth.value + 2 * Math.PI * 11, 6);
    expect(worked.mass!.value).toBe(240);
    expect(worked.height.value).toBe(164);
  });

  it('tells which member is wrong', () => {
    const faults = checkThing({ kind: 'set', members: [phone, { ...phone, edgeRadius: { mm: 20 } }] });
    expect(faults[0]!.path).toBe('members[1].edgeRadius.mm');
  });
});

it('a bag for loose things is twice its width round, its size its own', () => {
  expect(workThing({ kind: 'loose', width: { mm: 90 }, height: { mm: 120 } })).toMatchObject({
    girth: { value: 180 },
    pockets: 0,
    depth: { value: 0 },
  });
});

describe('the way over a bar', () => {
  const t = measured(4, 'mm', 0.4, 'test');
  const drops = { dropFront: { mm: 70 }, dropBack: { mm: 50 } };

  it('is half the round of bar and fabric, or the arm and two quarter turns', () => {
    const round: CarrierSpec = { kind: 'bar', diameter: { mm: 40 }, ...drops };
    expect(workBar(round).span(t).value).toBeCloseTo(120 + (Math.PI * 44) / 2, 6);
    const flat: CarrierSpec = { kind: 'bar', width: { mm: 90 }, ...drops };
    expect(workBar(flat).span(t).value).toBeCloseTo(120 + 90 + 2 * Math.PI, 6);
  });

  it('has its measures described', () => {
    expect(CARRIERS.map(({ id }) => id)).toEqual(['bar', 'body']);
  });
});
