import { CARRIERS, THINGS } from '@keep-snug/core';
import { SKETCHES } from './sketches';

/** Every number of a path that is a place, and none that is a way from the last one. */
const places = (path: string) =>
  [...path.matchAll(/([MLQHVC])([^A-Za-z]*)/g)].flatMap(([, , numbers]) => numbers!.trim().split(/[ ,]+/).map(Number));

describe('what is asked for', () => {
  const measured = THINGS.filter(({ measures, list }) => measures.length > 0 || list);

  it.each(measured.map((thing) => [thing.id, thing] as const))(
    'of %s is drawn for each of its measures',
    (id, thing) => {
      const asked = [
        ...thing.measures.map(({ key }) => key),
        ...(thing.list?.measures ?? []).map(({ key }) => `${thing.list!.key}.${key}`),
      ];
      expect(Object.keys(SKETCHES[id]!.tape).sort()).toEqual(asked.sort());
    },
  );

  it('of a bar too', () => {
    const bar = CARRIERS.find(({ id }) => id === 'bar')!;
    expect(Object.keys(SKETCHES.bar!.tape).sort()).toEqual(bar.measures.map(({ key }) => key).sort());
  });

  it('lies within its box, each tape in its own place', () => {
    for (const { outline, tape } of Object.values(SKETCHES)) {
      for (const path of [outline, ...Object.values(tape)])
        for (const place of places(path)) expect(place >= 0 && place <= 100).toBe(true);
    }
    expect(new Set(Object.values(SKETCHES.slab!.tape)).size).toBe(4);
  });
});
