import { nextColour } from './nextColour';

const named = (...names: string[]) => names.map((name) => ({ name }));

test('one colour more is counted on, and never has the name of one that is there', () => {
  expect(nextColour(named('oat'))).toBe('colour 2');
  expect(nextColour(named('oat', 'kelp'))).toBe('colour 3');
  expect(nextColour(named('oat', 'colour 3'))).toBe('colour 4');
  expect(nextColour(named('colour 3', 'colour 4'))).toBe('colour 5');
});
