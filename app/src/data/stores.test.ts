import { prior, type Term } from '@keep-snug/core';
import { useWorkingsTrail } from './workingsTrail';
import { useBoard } from './board';
import { BLANK, useDraft } from './draft';
import { useSaved } from './saved';
import { useSettings } from './settings';
import { smallStorage } from '@/platform/storage';

describe('a thing being measured', () => {
  beforeEach(() => useDraft.getState().clear());

  it('is kept whole, every word as typed', () => {
    const draft = {
      kind: 'cylinder',
      texts: { width: ' 3 1/4 ', height: 'about this' },
      ways: { width: 'calliper' as const },
      entries: [{ texts: { height: '7' }, ways: {} }],
      members: [],
    };
    useDraft.getState().keep(draft);
    expect(useDraft.getState().draft).toEqual(draft);
  });

  it('is blank once it became a plan', () => {
    useDraft.getState().keep({ ...BLANK, texts: { width: '78' } });
    useDraft.getState().clear();
    expect(useDraft.getState().draft).toEqual(BLANK);
  });
});

describe('workings asked for', () => {
  const girth = prior(180, 'mm', 1, 'test');
  const ease = { name: 'ease', from: 'the fit', ...prior(9, 'mm', 1, 'test') };
  beforeEach(() => useWorkingsTrail.getState().close());

  it('lead on into what was reckoned, back again, and shut', () => {
    const { ask, into, back, close } = useWorkingsTrail.getState();
    ask('girth', girth);
    into(ease as Term);
    expect(useWorkingsTrail.getState().trail.map(({ name }) => name)).toEqual(['girth', 'ease']);
    back();
    expect(useWorkingsTrail.getState().trail).toEqual([{ name: 'girth', figure: girth }]);
    into(ease as Term);
    close();
    expect(useWorkingsTrail.getState().trail).toEqual([]);
  });

  it('stay where they are at a term that was simply taken', () => {
    useWorkingsTrail.getState().ask('girth', girth);
    useWorkingsTrail.getState().into({ name: 'W', value: 78, unit: 'mm', from: 'ruler' } as Term);
    expect(useWorkingsTrail.getState().trail).toHaveLength(1);
  });

  it('begin anew with another figure', () => {
    const { ask, into } = useWorkingsTrail.getState();
    ask('girth', girth);
    into(ease as Term);
    ask('yarn', prior(40, 'm', 6, 'test'));
    expect(useWorkingsTrail.getState().trail.map(({ name }) => name)).toEqual(['yarn']);
  });
});

it('the board remembers its view, and the stage opened in each plan', () => {
  const { openStage, look } = useBoard.getState();
  openStage('flask', 'fabric');
  openStage('phone', 'fit');
  look('folded');
  openStage('flask', '');
  expect(useBoard.getState()).toMatchObject({ stages: { flask: '', phone: 'fit' }, view: 'folded' });
});

it('the device has one name, and one first day, from its first start on', () => {
  for (const [name, state] of [
    ['keep-snug.settings', { device: useSettings.getState().device }],
    ['keep-snug.saved', { at: useSaved.getState().at }],
  ] as const)
    expect(JSON.parse(smallStorage().getItem(name)!)).toMatchObject({ state });
});
