import { TERN_POINT } from '@keep-snug/core/demo';
import { outlineOf, sizesOf, workThing } from './outlineOf';

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
    workThing({ kind: 'slab', width: { mm: 80 }, height: { mm: 90 }, depth: { mm: 10 }, edgeRadius: { mm: 9 } }),
  ).toBeNull();
  expect(outlineOf({ kind: 'hat' })).toBeNull();
});

it.each([
  ['field phone', '78 × 164 × 14 mm'],
  ['flask', '74 mm across, 242 mm high'],
  ['storm days', '6 tools to 150 mm'],
  ['hide needs', '4 things'],
])('says the size of %s as %s', (name, words) => {
  expect(sizesOf(thingOf(name), say)).toBe(words);
});
