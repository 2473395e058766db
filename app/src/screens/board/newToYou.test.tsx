import { reckon, stepsToMake } from '@keep-snug/core';
import { TERN_POINT } from '@keep-snug/core/demo';
import { fireEvent, screen } from '@testing-library/react-native';
import { nothingHere } from '@/fixtures/serverHas';
import { show } from '@/fixtures/show';
import { useEvents } from '@/data/events';
import { useLibrary } from '@/data/library';
import { useTechniqueTrail } from '@/data/techniqueTrail';
import { startMake } from '@/reading/start';
import { NewToYou } from './NewToYou';

jest.mock('@/platform/useIdle', () => ({ useIdle: () => true }));

const wrap = Object.values(TERN_POINT.plans).find(({ title }) => title === 'Storm-day hook wrap')!;
const worked = reckon(wrap);

beforeEach(nothingHere);

it('says what of a plan was never ticked here and can be practised, and leads to how it is done', () => {
  show(<NewToYou worked={worked} />);
  expect(screen.getByText('linked single crochet')).toBeTruthy();
  fireEvent.press(screen.getByText('reverse single crochet'));
  expect(useTechniqueTrail.getState().trail).toEqual(['reverse-single']);
});

it('is silent once it was ticked, in whatever was made', () => {
  const id = useLibrary.getState().add('plans', wrap);
  const make = startMake(id, wrap);
  for (const { id: step } of stepsToMake(worked.steps))
    useEvents.getState().happened(make, { kind: 'ticked', step, under: null });
  show(<NewToYou worked={worked} />);
  expect(screen.queryByLabelText('New to you')).toBeNull();
});
