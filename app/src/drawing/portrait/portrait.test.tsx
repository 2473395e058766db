import { reckon } from '@keep-snug/core';
import { TERN_POINT } from '@keep-snug/core/demo';
import { screen } from '@testing-library/react-native';
import { useSettings } from '@/data/settings';
import { show } from '@/fixtures/show';
import { PortraitInk } from './PortraitInk';

const plan = Object.values(TERN_POINT.plans)[0]!;
const worked = reckon(plan);
const drawn = () => JSON.stringify(screen.toJSON());

beforeEach(() => useSettings.getState().set({ hand: 'right' }));

it('tells in words what is seen, from each side', () => {
  for (const [side, name] of [
    ['front', 'Front'],
    ['back', 'Back'],
    ['open', 'Open'],
  ] as const) {
    const { unmount } = show(<PortraitInk plan={plan} worked={worked} side={side} width={200} height={200} />);
    expect(screen.getByLabelText(new RegExp(`^${name}\\. Folded and joined`))).toBeTruthy();
    unmount();
  }
});

it('gives every portrait of a page names of its own', () => {
  show(
    <>
      <PortraitInk plan={plan} worked={worked} width={200} height={200} />
      <PortraitInk plan={plan} worked={worked} width={100} height={100} />
    </>,
  );
  const names = drawn().match(/"name":"[^"]*tsingle[^"]*"/g) ?? [];
  expect(names.length).toBeGreaterThan(1);
  expect(new Set(names).size).toBe(names.length);
});

it('shows less yarn while it is made', () => {
  const whole = show(<PortraitInk plan={plan} worked={worked} width={200} height={200} />);
  const all = drawn().length;
  whole.unmount();
  const made = { [worked.pieces[0]!.id]: 5 };
  show(<PortraitInk plan={plan} worked={worked} made={made} width={200} height={200} />);
  expect(drawn().length).toBeLessThan(all);
});
