import { TERN_POINT } from '../../demo';
import { DOCUMENT_KINDS } from './kinds';
import { unknownIn } from './unknown';

const plan = Object.values(TERN_POINT.plans)[0]!;

it('knows all of the samples', () => {
  for (const kind of DOCUMENT_KINDS)
    for (const body of Object.values(TERN_POINT[kind] as Record<string, unknown>))
      expect([kind, unknownIn(kind, body)]).toEqual([kind, undefined]);
});

it.each([
  ['plans', { ...plan, shape: { kind: 'orb' } }, 'the shape “orb”'],
  ['plans', { ...plan, thing: { kind: 'kettle' } }, 'the kind of thing “kettle”'],
  ['plans', { ...plan, fit: { name: 'airy' } }, 'the fit “airy”'],
  ['plans', { ...plan, fabric: { ...plan.fabric, stitch: 'braid' } }, 'the stitch “braid”'],
  ['plans', { ...plan, fittings: [{ kind: 'wheel' }] }, 'the fitting “wheel”'],
  ['plans', { ...plan, carrier: { kind: 'kite' } }, 'the carrier “kite”'],
  ['makes', { plan: { ...plan, shape: { kind: 'orb' } } }, 'the shape “orb”'],
  ['batches', { plan, variants: [{ thing: { kind: 'kettle' } }] }, 'the kind of thing “kettle”'],
  ['things', { thing: { kind: 'set', members: [{ kind: 'kettle' }] } }, 'the kind of thing “kettle”'],
  ['swatches', { stitch: 'braid' }, 'the stitch “braid”'],
  ['plans', null, 'its form'],
  ['plans', {}, 'its form'],
  ['hours', {}, 'its form'],
  ['yarns', { name: 'a' }, 'its form'],
] as const)('of %s tells what it does not know', (kind, body, what) => expect(unknownIn(kind, body)).toBe(what));
