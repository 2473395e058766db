import { TERN_POINT } from '../../demo';
import fc from 'fast-check';
import { deflateSync } from 'fflate';
import { planFragment, planLink, textInFragment } from './planLink';

const PLANS = Object.values(TERN_POINT.plans);

it('a plan comes back from its link, from the fragment alone or the whole address', () => {
  for (const plan of PLANS) {
    const link = planLink(plan, 'http://127.0.0.1:4680');
    expect(link).toMatch(/^http:\/\/127\.0\.0\.1:4680\/open#[\w-]+$/);
    for (const given of [link, planFragment(plan), `#${planFragment(plan)}`, ` ${planFragment(plan)} `])
      expect(textInFragment(given)).toBe(JSON.stringify(plan));
  }
});

it('any title, in any script, comes back', () => {
  fc.assert(
    fc.property(fc.string({ unit: 'grapheme', maxLength: 120 }), (title) => {
      const plan = { ...PLANS[0]!, title };
      expect(JSON.parse(textInFragment(planFragment(plan))!)).toEqual(JSON.parse(JSON.stringify(plan)));
    }),
  );
});

it('is short enough for a code on paper', () => {
  // the largest code holds 2,953 bytes
  for (const plan of PLANS) expect(planLink(plan, 'http://192.168.100.200:4680').length).toBeLessThan(2900);
});

it('what was cut off, is none, or unpacks to a flood is no plan, and never a throw', () => {
  expect(textInFragment('')).toBeUndefined();
  expect(textInFragment('#')).toBeUndefined();
  expect(textInFragment('#not a link!')).toBeUndefined();
  const flood = btoa(String.fromCharCode(...deflateSync(new Uint8Array(5_000_000).fill(32), { level: 9 })))
    .replace(/\+/g, '-')
    .replace(/\//g, '_')
    .replace(/=+$/, '');
  expect((textInFragment(flood) ?? '').length).toBeLessThanOrEqual(400_000);
  const whole = planFragment(PLANS[0]!);
  const isPlan = (text: string | undefined) => {
    try {
      return text !== undefined && JSON.parse(text) !== null;
    } catch {
      return false;
    }
  };
  fc.assert(
    fc.property(fc.integer({ min: 1, max: whole.length - 8 }), (kept) => {
      expect(isPlan(textInFragment(whole.slice(0, kept)))).toBe(false);
    }),
  );
  fc.assert(
    fc.property(fc.string(), (text) => {
      textInFragment(text);
    }),
  );
});

it('a link that unpacks to a flood is given up early, whatever it holds', () => {
  const flood = deflateSync(new Uint8Array(60_000_000), { level: 9 });
  const packed = Buffer.from(flood).toString('base64url');
  const before = process.memoryUsage().arrayBuffers;
  expect(textInFragment(packed)).toBeUndefined();
  expect(process.memoryUsage().arrayBuffers - before).toBeLessThan(20_000_000);
});
