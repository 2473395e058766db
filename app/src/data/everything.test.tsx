import type { Plan } from '@keep-snug/core';
import { TERN_POINT } from '@keep-snug/core/demo';
import { parsePlan, type DocumentKind } from '@keep-snug/core/formats';
import { screen } from '@testing-library/react-native';
import { show } from '@/fixtures/show';
import { useEvents } from './events';
import { serverHas } from '@/fixtures/serverHas';
import { useLibrary } from './library';
import { LETTERS, useSettings } from './settings';
import { Words } from '@/ui/layout/Words';
import { larger, TYPE } from '@/theme/type';
import { everything, saveEverything } from './everything';
import { SettingsPage } from '@/screens/settings/SettingsPage';

beforeEach(() => {
  useLibrary.setState({
    shelves: { plans: {}, things: {}, yarns: {}, swatches: {}, makes: {}, hours: {}, batches: {} },
  });
  const { plans, things, yarns, swatches } = TERN_POINT;
  for (const [kind, record] of Object.entries({ plans, things, yarns, swatches }))
    serverHas(kind as DocumentKind, record);
  useSettings.getState().set({ letters: 'usual' });
});

describe('everything as a file', () => {
  it('is the server’s copy as soon as it answers, and this device’s where it does not', async () => {
    const clicked: string[] = [];
    const link = { click: () => clicked.push((link as unknown as { href: string }).href) };
    const world = { document: { createElement: () => link }, fetch: jest.fn() };
    const before = {
      document: globalThis.document,
      fetch: globalThis.fetch,
      create: URL.createObjectURL,
      revoke: URL.revokeObjectURL,
    };
    Object.assign(globalThis, world);
    Object.assign(URL, { createObjectURL: () => 'blob:here', revokeObjectURL: jest.fn() });
    world.fetch.mockResolvedValueOnce(new Response('{}', { headers: { 'Keep-Snug-Store': 'house' } }));
    await saveEverything({ reached: null, waiting: 0 });
    world.fetch.mockRejectedValueOnce(new Error('away'));
    await saveEverything({ reached: null, waiting: 0 });
    await saveEverything({ reached: true, waiting: 2 });
    Object.assign(globalThis, { document: before.document, fetch: before.fetch });
    Object.assign(URL, { createObjectURL: before.create, revokeObjectURL: before.revoke });
    expect(clicked).toEqual(['/api/everything', 'blob:here', 'blob:here']);
  });

  it('holds what the server refused and what only the server has, and Settings leads to what is not there', async () => {
    const id = 'a0000000-0000-4000-8000-000000000077';
    const [plan] = Object.values(TERN_POINT.plans);
    const mine = { body: { ...plan!, title: 'refused here' }, revision: 0, dirty: true, stamp: 's' };
    const { answered, putBack } = useLibrary.getState();
    putBack([{ kind: 'plans', id, held: mine }]);
    answered('plans', id, mine, { is: 'refused', message: 'fabric.rate.perMinute: 567 is too large.' });
    const file = JSON.parse(await everything({ plans: { there: plan } })) as { plans: Record<string, Plan> };
    expect([file.plans[id]?.title, file.plans.there?.title]).toEqual(['refused here', plan!.title]);
    show(<SettingsPage />);
    expect(screen.getByText(/567 is too large/)).toBeTruthy();
    expect(screen.getByLabelText('Go to refused here')).toBeTruthy();
    expect(screen.queryByText('The server has all of it too.')).toBeNull();
  });

  it('holds each document as it is, by its id, and reads back as what it was', async () => {
    const file = JSON.parse(await everything());
    expect(file.format).toBe('keep-snug.everything/1');
    expect(Object.keys(file)).toEqual([
      'format',
      'plans',
      'things',
      'yarns',
      'swatches',
      'makes',
      'hours',
      'batches',
      'events',
    ]);
    expect(file.plans).toEqual(JSON.parse(JSON.stringify(TERN_POINT.plans)));
    for (const plan of Object.values(file.plans)) expect(parsePlan(JSON.stringify(plan))).toEqual(plan);
    expect(file.events).toHaveLength(Object.values(useEvents.getState().byMake).flat().length);
  });

  it('leaves out what was deleted', async () => {
    const [id] = Object.keys(TERN_POINT.things);
    useLibrary.getState().remove('things', id!);
    expect(Object.keys(JSON.parse(await everything()).things)).not.toContain(id);
  });

  it('is told in numbers among the settings', () => {
    show(<SettingsPage />);
    const { plans, things } = TERN_POINT;
    const words = `${Object.keys(plans).length} plans, ${Object.keys(things).length} things`;
    expect(screen.getByText(new RegExp(`On this device: ${words}`))).toBeTruthy();
  });
});

describe('letters', () => {
  it('grow with their lines, in whole pixels, wherever words are', () => {
    for (const times of Object.values(LETTERS)) {
      const { fontSize, lineHeight } = larger(TYPE.body, times);
      expect([fontSize, lineHeight]).toEqual([Math.round(16 * times), Math.round(23 * times)]);
    }
    useSettings.getState().set({ letters: 'larger' });
    show(<Words style={{ fontSize: 20 }}>hook</Words>);
    expect(screen.getByText('hook')).toHaveStyle({ fontSize: 26 });
  });
});
