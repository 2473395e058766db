import { TERN_POINT } from '../../demo';
import { CARRIERS, outlineOf, sizesOf, thingIfWhole, THINGS } from './index';

const thingOf = (name: string) => Object.values(TERN_POINT.things).find((record) => record.name.includes(name))!.thing;
const say = { length: (mm: number) => `${mm.toFixed(0)} mm`, number: (mm: number) => mm.toFixed(0) };

it('a box is its width by its height', () => {
  expect(outlineOf(thingOf('field phone'))).toMatchObject({ width: 78, height: 164, parts: [{ corner: 5 }] });
});

it('a bottle narrows from its shoulder to its neck', () => {
  const { width, height, parts } = outlineOf(thingOf('flask'))!;
  expect([width, height]).toEqual([expect.closeTo(74, 6), 242]);
  const top = parts[0]!.points.filter(([, y]) => y === 242).map(([x]) => x);
  expect(Math.max(...top) - Math.min(...top)).toBeCloseTo(48, 6);
});

it('tools and sets stand beside each other', () => {
  const hooks = outlineOf(thingOf('storm days'))!;
  expect(hooks.parts).toHaveLength(6);
  expect(hooks.height).toBe(150);
  const hide = outlineOf(thingOf('hide needs'))!;
  expect(hide.parts).toHaveLength(4);
  const starts = hide.parts.map(({ x }) => x);
  expect([...starts].sort((a, b) => a - b)).toEqual(starts);
});

it('what is not complete, or does not go together, has no outline', () => {
  expect(outlineOf({ kind: 'slab', width: { mm: 80 } })).toBeNull();
  expect(outlineOf({ kind: 'set', members: [] })).toBeNull();
  expect(outlineOf({ kind: 'tools', tools: [{ length: { mm: 100 } }] })).toBeNull();
  expect(outlineOf({ kind: 'cylinder', height: { mm: 100 } })).toBeNull();
  expect(
    thingIfWhole({ kind: 'slab', width: { mm: 80 }, height: { mm: 90 }, depth: { mm: 10 }, edgeRadius: { mm: 9 } }),
  ).toBeNull();
  expect(outlineOf({ kind: 'hat' })).toBeNull();
});

it.each([
  ['field phone', '78 × 164 × 14 mm'],
  ['flask', 'diameter 74 mm, height 242 mm'],
  ['storm days', '6 tools to 150 mm'],
  ['hide needs', '4 things'],
])('says the size of %s as %s', (name, words) => {
  expect(sizesOf(thingOf(name), say)).toBe(words);
});

/** Every number of a path that is a place, and none that is a way from the last one. */
const places = (path: string) =>
  [...path.matchAll(/([MLQHVC])([^A-Za-z]*)/g)].flatMap(([, , numbers]) => numbers!.trim().split(/[ ,]+/).map(Number));

describe('the sketch', () => {
  const sketched = [
    ...THINGS.filter(({ measures, list }) => measures.length > 0 || list),
    ...CARRIERS.filter(({ sketch }) => sketch).map((carrier) => ({ ...carrier, list: undefined })),
  ];

  it.each(sketched.map((one) => [one.id, one] as const))('of %s has a tape for each of its measures', (_, one) => {
    const asked = [
      ...one.measures.map(({ key }) => key),
      ...(one.list?.measures ?? []).map(({ key }) => `${one.list!.key}.${key}`),
    ];
    expect(Object.keys(one.sketch!.tape).sort()).toEqual(asked.sort());
  });

  it('lies within its box', () => {
    for (const { sketch } of sketched)
      for (const path of [sketch!.outline, ...Object.values(sketch!.tape)])
        for (const place of places(path)) expect(place >= 0 && place <= 100).toBe(true);
  });
});
