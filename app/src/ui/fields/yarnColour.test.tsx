import type { YarnSpec } from '@keep-snug/core';
import { fireEvent, screen } from '@testing-library/react-native';
import fc from 'fast-check';
import { show } from '@/fixtures/show';
import { colouredYarn, YarnColourField } from './YarnColourField';

const YARN: YarnSpec = { name: 'fishing cotton', category: 4 };

describe('the colour of a yarn', () => {
  it('is a name, or six digits, or nothing', () => {
    expect(colouredYarn(YARN, 'kelp')).toEqual({ ...YARN, colour: 'kelp' });
    expect(colouredYarn(YARN, '5E7F8E')).toEqual({ ...YARN, hex: '#5e7f8e' });
    expect(colouredYarn({ ...YARN, colour: 'kelp' }, ' ')).toEqual(YARN);
  });

  it('keeps what was picked under a name that tells nothing, and drops it for one that does', () => {
    const picked = { ...YARN, hex: '#5e7f8e' };
    expect(colouredYarn(picked, 'low tide')).toEqual({ ...picked, colour: 'low tide' });
    expect(colouredYarn(picked, 'sand')).toEqual({ ...YARN, colour: 'sand' });
  });

  it('loses nothing that is typed', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 60 }), (typed) => {
        const { colour, hex } = colouredYarn(YARN, typed);
        if (typed.trim() === '') expect([colour, hex]).toEqual([undefined, undefined]);
        else expect(colour === typed || hex === `#${typed.trim().replace('#', '').toLowerCase()}`).toBe(true);
      }),
    );
  });

  it('says what to do about a name it does not know', () => {
    const changed = jest.fn();
    const first = show(<YarnColourField yarn={YARN} onChange={changed} />);
    fireEvent.changeText(screen.getByLabelText('Colour'), 'low tide');
    const next = changed.mock.lastCall![0] as YarnSpec;
    expect(next.colour).toBe('low tide');
    first.unmount();
    show(<YarnColourField yarn={next} onChange={changed} />);
    expect(screen.getByText(/No colour is known by “low tide”/)).toBeTruthy();
  });
});
