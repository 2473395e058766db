import { reckon, type Figure, type Kind, type Term, type Unit } from '@keep-snug/core';
import { TERN_POINT } from '@keep-snug/core/demo';
import { figureText, KIND_WORDS, valueText } from './figureText';
import { termName } from '@/ui/notices/termNames';

it.each<[number, Unit, string]>([
  [94.45, 'mm', '94.5 mm'],
  [0.4078, '1', '0.408'],
  [16, 'stitches', '16 stitches'],
  [8, 'chains', '8 chains'],
  [37.94, 'm', '37.9 m'],
])('writes %d %s with its unit', (value, unit, text) => {
  expect(valueText(value, unit, 'mm')).toBe(text);
});

it('writes lengths in the reader’s unit and leaves other units alone', () => {
  expect(valueText(25.4, 'mm', 'in')).toBe('1 in');
  expect(valueText(16, 'stitches', 'in')).toBe('16 stitches');
});

it('shows no figure finer than it is known', () => {
  const figure = (value: number, unit: Unit, sd?: number) => ({ value, unit, ...(sd ? { sd } : {}) });
  expect(figureText(figure(94.2, 'mm', 2.6), 'mm')).toBe('94 mm');
  expect(figureText(figure(1063, 'g', 120), 'mm')).toBe('1050 g');
  expect(figureText(figure(60, 'mm'), 'mm')).toBe('60 mm');
});

it('has a word and a sentence for every kind of figure', () => {
  const kinds: Kind[] = ['law', 'prior', 'measured', 'chosen'];
  expect(Object.keys(KIND_WORDS).sort()).toEqual([...kinds].sort());
});

/** Every term of a figure, and of the figures it stands on. */
function termsOf({ terms }: Figure['workings']): Term[] {
  return terms.flatMap((term) => [term, ...(term.workings ? termsOf(term.workings) : [])]);
}

function figuresIn(value: unknown): Figure[] {
  if (!value || typeof value !== 'object') return [];
  if ('workings' in value && 'unit' in value) return [value as Figure];
  return Object.values(value).flatMap(figuresIn);
}

it('says what every letter of every formula stands for', () => {
  const { steps: _steps, views: _views, ...worked } = reckon(Object.values(TERN_POINT.plans)[0]!);
  const figures = figuresIn(worked);
  expect(figures.length).toBeGreaterThan(20);
  const letters = figures
    .flatMap(({ workings }) => termsOf(workings))
    .map(({ name }) => name)
    .filter((name) => name.length <= 2);
  expect([...new Set(letters)].filter((letter) => termName(letter) === letter)).toEqual([]);
});

it('carries the spread of every measured figure to whatever stands on it', () => {
  const { inside, pieces, fabric } = reckon(Object.values(TERN_POINT.plans)[0]!);
  for (const figure of [inside.girth, inside.depth, pieces[0]!.width, fabric.stitchWidth])
    expect(figure.sd).toBeGreaterThan(0);
});
