import { TERN_POINT } from '@keep-snug/core/demo';
import { act, renderHook } from '@testing-library/react-native';
import { useEvents } from './events';
import { useLibrary } from './library';
import { useLine, useSync, useWaiting } from './sync';

const plan = Object.values(TERN_POINT.plans)[0]!;

/** A stand-in for the network: what was asked, and an answer that a test sets. */
const asked: { path: string; method: string; headers: Record<string, string>; body: unknown }[] = [];
let answer: (path: string, method: string) => { status: number; body: unknown };

const good: typeof answer = (path, method) => {
  if (path.startsWith('/api/events') && method === 'POST')
    return { status: 200, body: { accepted: (asked.at(-1)!.body as { id: string }[]).map(({ id }) => id) } };
  if (method === 'PUT')
    return { status: 201, body: { id: path.split('/').at(-1), revision: 1, body: asked.at(-1)!.body } };
  return { status: 200, body: [] };
};

beforeEach(() => {
  jest.useFakeTimers();
  asked.length = 0;
  answer = good;
  useLibrary.setState({ shelves: { plans: {}, things: {}, yarns: {}, swatches: {}, makes: {} } });
  useEvents.setState({ byMake: {}, unsent: [], seq: 0 });
  useLine.setState({ reached: null });
  globalThis.fetch = jest.fn(async (path: string, init: RequestInit = {}) => {
    const method = init.method ?? 'GET';
    asked.push({
      path,
      method,
      headers: init.headers as Record<string, string>,
      body: init.body ? JSON.parse(init.body as string) : null,
    });
    const { status, body } = answer(path, method);
    if (status === 0) throw new TypeError('no network');
    return { ok: status < 300, status, json: async () => body } as Response;
  }) as unknown as typeof fetch;
});
afterEach(() => jest.useRealTimers());

const pass = (ms: number) => act(async () => void (await jest.advanceTimersByTimeAsync(ms)));
const writes = () => asked.filter(({ method }) => method !== 'GET');

describe('keeping in step', () => {
  it('sends a new document once, as new, and then has nothing waiting', async () => {
    renderHook(() => useSync());
    await pass(10);
    let id = '';
    act(() => void (id = useLibrary.getState().add('plans', plan)));
    await pass(5000);
    expect(writes()).toMatchObject([{ path: `/api/plans/${id}`, method: 'PUT', headers: { 'If-None-Match': '*' } }]);
    expect(useLibrary.getState().shelves.plans[id]).toMatchObject({ dirty: false, revision: 1 });
    expect(renderHook(() => useWaiting()).result.current).toBe(0);
  });

  it('keeps ticks while the server is away and sends each once when it is back', async () => {
    renderHook(() => useSync());
    answer = () => ({ status: 0, body: null });
    act(() => {
      for (let row = 0; row < 3; row += 1) useEvents.getState().happened('m', { kind: 'ticked' });
    });
    await pass(4000);
    expect(useLine.getState().reached).toBe(false);
    expect(useEvents.getState().unsent).toHaveLength(3);
    answer = good;
    asked.length = 0;
    await pass(4000);
    expect(useLine.getState().reached).toBe(true);
    expect(useEvents.getState().unsent).toEqual([]);
    expect(writes().flatMap(({ body }) => body as unknown[])).toHaveLength(3);
  });

  it('holds both sides of a clash, and sends no more of it until it is settled', async () => {
    renderHook(() => useSync());
    await pass(10);
    answer = (path, method) =>
      method === 'PUT'
        ? { status: 409, body: { title: 'stale', present: { id: 'x', revision: 7, body: plan } } }
        : good(path, method);
    let id = '';
    act(() => void (id = useLibrary.getState().add('plans', { ...plan, title: 'mine' })));
    await pass(1000);
    expect(useLibrary.getState().shelves.plans[id]).toMatchObject({ body: { title: 'mine' }, theirs: { revision: 7 } });
    const before = writes().length;
    await pass(10_000);
    expect(writes()).toHaveLength(before);
    answer = good;
    act(() => useLibrary.getState().settle('plans', id, 'mine'));
    await pass(1000);
    expect(writes().at(-1)).toMatchObject({ headers: { 'If-Match': '"7"' } });
  });

  it('keeps a refused document here and says why', async () => {
    renderHook(() => useSync());
    await pass(10);
    answer = (path, method) =>
      method === 'PUT'
        ? { status: 422, body: { title: 'no', errors: [{ path: 'title', message: 'Empty.' }] } }
        : good(path, method);
    let id = '';
    act(() => void (id = useLibrary.getState().add('plans', plan)));
    await pass(1000);
    expect(useLibrary.getState().shelves.plans[id]).toMatchObject({ refused: 'title: Empty.', dirty: false });
  });

  it('treats a server in trouble as one that is away', async () => {
    answer = () => ({ status: 503, body: {} });
    renderHook(() => useSync());
    await pass(10);
    expect(useLine.getState().reached).toBe(false);
  });
});
