import { act, renderHook } from '@testing-library/react-native';
import { spoken, useAloud } from '@/platform/useAloud';
import { useHeadset } from '@/platform/useHeadset';
import { useListening } from '@/platform/useListening';

const said: string[] = [];
const cancel = jest.fn();

beforeEach(() => {
  said.length = 0;
  cancel.mockClear();
  Object.assign(window, { speechSynthesis: { speak: ({ text }: { text: string }) => said.push(text), cancel } });
  Object.assign(globalThis, {
    SpeechSynthesisUtterance: class {
      constructor(readonly text: string) {}
    },
  });
});

afterEach(() => {
  delete (window as { speechSynthesis?: unknown }).speechSynthesis;
});

it('is said as it is read: without brackets', () => {
  expect(spoken('Chain 1 (does not count as a stitch), single crochet in the next 16 stitches.')).toBe(
    'Chain 1, does not count as a stitch, single crochet in the next 16 stitches.',
  );
  expect(spoken('85 × 255 mm')).toBe('85 by 255 mm');
});

it('says each row once as it comes, from when it is turned on until it is turned off', () => {
  const { result, rerender } = renderHook(({ text }: { text: string }) => useAloud(text), {
    initialProps: { text: 'Row 1' },
  });
  expect([result.current.can, said.length]).toEqual([true, 0]);
  act(() => result.current.turn());
  rerender({ text: 'Row 1' });
  rerender({ text: 'Row 2' });
  expect(said).toEqual(['Row 1', 'Row 2']);
  act(() => result.current.say('16'));
  expect(said.at(-1)).toBe('16');
  act(() => result.current.turn());
  rerender({ text: 'Row 3' });
  expect(said).toHaveLength(3);
  expect(cancel).toHaveBeenCalled();
});

it('is not offered where there is no voice', () => {
  delete (window as { speechSynthesis?: unknown }).speechSynthesis;
  const { result } = renderHook(() => useAloud('Row 1'));
  expect(result.current.can).toBe(false);
  act(() => result.current.turn());
  expect(said).toEqual([]);
});

it('the buttons of a headset are heard while it listens, and given back then', () => {
  const handlers = new Map<string, (() => void) | null>();
  Object.assign(globalThis, {
    navigator: {
      mediaSession: { setActionHandler: (action: string, does: (() => void) | null) => handlers.set(action, does) },
    },
  });
  const done: string[] = [];
  const buttons = { next: () => done.push('next'), back: () => done.push('back'), again: () => done.push('again') };
  const { rerender } = renderHook(({ on }: { on: boolean }) => useHeadset(on, buttons), { initialProps: { on: true } });
  for (const action of ['nexttrack', 'previoustrack', 'play']) handlers.get(action)!();
  expect(done).toEqual(['next', 'back', 'again']);
  rerender({ on: false });
  expect([...handlers.values()]).toEqual([null, null, null, null]);
});

describe('listening', () => {
  class Ear {
    static last: Ear;
    onresult: ((event: unknown) => void) | null = null;
    onend: (() => void) | null = null;
    onerror: ((event: { error: string }) => void) | null = null;
    started = 0;
    constructor() {
      Ear.last = this;
    }
    start = () => void (this.started += 1);
    stop = jest.fn();
    hear = (words: string) => this.onresult?.({ results: [[{ confidence: 0.9, words }]] });
  }
  const heard = { next: jest.fn(), back: jest.fn(), howMany: jest.fn() };
  afterEach(() => {
    delete (window as { webkitSpeechRecognition?: unknown }).webkitSpeechRecognition;
    Object.values(heard).forEach((one) => one.mockClear());
  });

  it('is only offered where the browser can', () => {
    expect(renderHook(() => useListening(heard)).result.current.can).toBe(false);
  });

  it('does what it hears, goes on after a silence, and ends where it may not listen', () => {
    Object.assign(window, { webkitSpeechRecognition: Ear });
    const { result } = renderHook(() => useListening(heard));
    act(() => result.current.turn());
    for (const said of ['next', 'the weather', 'How many?', 'go back']) act(() => Ear.last.hear(said));
    expect([heard.next, heard.howMany, heard.back].map(({ mock }) => mock.calls.length)).toEqual([1, 1, 1]);
    act(() => Ear.last.onend?.());
    expect(Ear.last.started).toBe(2);
    act(() => Ear.last.onerror?.({ error: 'no-speech' }));
    expect(result.current.on).toBe(true);
    act(() => Ear.last.onerror?.({ error: 'not-allowed' }));
    expect(result.current.on).toBe(false);
  });
});
