import { formatsTables, publishedPlanSchema, withTables } from '@keep-snug/core/formats';
import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { chapters, guidePage } from './guide';
import { workings, workingsPage } from './workings';

const doc = (path: string) => readFileSync(new URL(`../docs/${path}`, import.meta.url), 'utf8');
const folder = (path: string) => new URL(`../${path}`, import.meta.url);

it('the published schema is the one the program checks by', () => {
  expect(JSON.parse(doc('schema/plan-1.schema.json'))).toEqual(publishedPlanSchema());
});

it('the tables of the formats are those of the definitions', () => {
  const text = doc('FORMATS.md');
  for (const [name, rows] of Object.entries(formatsTables())) expect([name, text.includes(rows)]).toEqual([name, true]);
  expect(withTables(text, formatsTables())).toBe(text);
});

it('the workings are those of the docstrings', () => {
  expect(workings().length).toBeGreaterThan(100);
  expect(doc('WORKINGS.md')).toBe(workingsPage());
});

it('the guide is what the app tells, with pictures that are there', () => {
  expect(doc('GUIDE.md')).toBe(guidePage());
  const pictured = chapters().flatMap(({ picture }) => picture ?? []);
  expect(pictured.length).toBeGreaterThan(4);
  expect(pictured.filter((picture) => !existsSync(folder(`docs/screenshots/${picture}.png`)))).toEqual([]);
});

describe('the handbook', () => {
  const anchors = new Set([...doc('HANDBOOK.md').matchAll(/<a id="([\d-]+)">/g)].map(([, id]) => id));

  it('has a place for every section that the code names', () => {
    const files = ['core/src', 'app/src', 'server/src'].flatMap((root) =>
      readdirSync(folder(root), { recursive: true, encoding: 'utf8' })
        .filter((file) => /\.tsx?$/.test(file))
        .map((file) => `${root}/${file}`),
    );
    const named = files.flatMap((file) =>
      [...readFileSync(folder(file), 'utf8').matchAll(/handbook (\d+(?:\.\d+)?)/g)].map(([, section]) => ({
        file,
        section: section!,
      })),
    );
    expect(named.length).toBeGreaterThan(150);
    expect(named.filter(({ section }) => !anchors.has(section.replace('.', '-')))).toEqual([]);
  });
});

it('every docstring stands at what it is about: none on another, but for the head of a file', () => {
  const files = ['core/src', 'app/src', 'server/src', 'e2e'].flatMap((root) =>
    readdirSync(folder(root), { recursive: true, encoding: 'utf8' })
      .filter((file) => /\.tsx?$/.test(file))
      .map((file) => `${root}/${file}`),
  );
  const displaced = files.flatMap((file) => {
    const text = readFileSync(folder(file), 'utf8').replace(/^(import [^;]*;\s*)*\/\*\*(?:(?!\*\/)[^])*\*\//, '');
    return [...text.matchAll(/\/\*\*(?:(?!\*\/)[^])*\*\/\s*\/\*\*/g)].map(
      ([found]) => `${file}: ${found.slice(0, 60)}`,
    );
  });
  expect(files.length).toBeGreaterThan(800);
  expect(displaced).toEqual([]);
});
