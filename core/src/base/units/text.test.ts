import fc from 'fast-check';
import { hiddenIn, isBlank, withoutHidden } from './text';

it('leaves nothing hidden, and lets be what can be seen', () => {
  fc.assert(
    fc.property(
      fc.string({ unit: 'binary' }),
      fc.constantFrom('one-line' as const, 'lines' as const),
      (text, lines) => {
        const clean = withoutHidden(text, lines);
        expect(hiddenIn(clean, lines)).toBeUndefined();
        expect(withoutHidden(clean, lines)).toBe(clean);
      },
    ),
  );
  expect(withoutHidden('tide\u202e table\u0000')).toBe('tide table');
  expect(withoutHidden('one\r\ntwo')).toBe('one two');
  expect(withoutHidden('one\r\ntwo', 'lines')).toBe('one\ntwo');
});

it('sees what is blank', () => {
  expect(['', '  ', '\u200b', '\u3164\u2800'].map(isBlank)).toEqual([true, true, true, true]);
  expect(['a', ' é ', '👩‍🌾'].map(isBlank)).toEqual([false, false, false]);
});
