import fc from 'fast-check';
import { TERN_POINT, ternPointEvents } from '../../demo';
import { checkDocument } from './documents';
import { checkEvents } from './events';
import { DOCUMENT_KINDS, type DocumentKind } from './kinds';
import { LONGEST_PLAN, parsePlan } from './plan';

const samplesOf = (kind: DocumentKind) => Object.values(TERN_POINT[kind] as Record<string, object>);
const pathsOf = (kind: DocumentKind, value: unknown) => {
  const checked = checkDocument(kind, value);
  return checked.ok ? [] : checked.errors.map(({ path }) => path);
};

describe.each(DOCUMENT_KINDS.map((kind) => [kind]))('%s', (kind) => {
  const samples = samplesOf(kind);

  it('of the sample data are of their form, and come through it unchanged', () => {
    expect(samples.length).toBeGreaterThan(0);
    for (const sample of samples) expect(checkDocument(kind, sample)).toEqual({ ok: true, value: sample });
  });

  it('come through being written and read', () => {
    for (const sample of samples) {
      const again: unknown = JSON.parse(JSON.stringify(sample));
      expect(checkDocument(kind, again)).toEqual({ ok: true, value: sample });
    }
  });

  it('with one entry of a wrong sort are told at that entry', () => {
    const [sample] = samples as Record<string, unknown>[];
    for (const key of Object.keys(sample!)) {
      const wrong = typeof sample![key] === 'object' ? 7 : { not: 'this' };
      const paths = pathsOf(kind, { ...sample, [key]: wrong });
      expect([key, paths.some((path) => path.startsWith(key))]).toEqual([key, true]);
    }
  });

  it('are nothing but objects', () => {
    for (const wrong of [null, undefined, 7, 'text', [], true])
      expect(checkDocument(kind, wrong)).toMatchObject({ ok: false });
  });

  it('whatever they are, are checked without failing', () => {
    fc.assert(
      fc.property(fc.anything({ maxDepth: 3 }), (value) => {
        const checked = checkDocument(kind, value);
        if (!checked.ok) for (const { message } of checked.errors) expect(message.length).toBeGreaterThan(3);
      }),
      { numRuns: 200 },
    );
  });
});

describe('events', () => {
  const events = ternPointEvents();

  it('of the sample data are of their form', () => {
    expect(events.length).toBeGreaterThan(0);
    expect(checkEvents(events)).toEqual({ ok: true, value: events });
  });

  it('are a list, each with its id, its make and its time', () => {
    expect(checkEvents({}).ok).toBe(false);
    for (const key of ['id', 'make', 'device', 'at', 'kind']) {
      const { [key as 'id']: _gone, ...rest } = events[0]!;
      const checked = checkEvents([events[0], rest]);
      expect(checked.ok ? [] : checked.errors.map(({ path }) => path)).toContain(`[1].${key}`);
    }
  });
});

describe('a plan as text', () => {
  it('is read as it was written, for every plan of the sample data', () => {
    for (const plan of Object.values(TERN_POINT.plans)) expect(parsePlan(JSON.stringify(plan))).toEqual(plan);
  });

  it('cut off anywhere is refused, and never half read', () => {
    const text = JSON.stringify(Object.values(TERN_POINT.plans)[0]);
    fc.assert(
      fc.property(fc.integer({ min: 0, max: text.length - 1 }), (length) => {
        expect(() => parsePlan(text.slice(0, length))).toThrow();
      }),
    );
  });

  it('is not too long', () => {
    expect(() => parsePlan(' '.repeat(LONGEST_PLAN + 1))).toThrow(/characters/);
  });
});
