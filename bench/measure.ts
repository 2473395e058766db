export interface Taken {
  median: number;
  p95: number;
}

/** Runs something many times, after warming up, and answers with median and 95th percentile in milliseconds. */
export async function timed(times: number, work: () => unknown): Promise<Taken> {
  const [taken] = await timedInTurn(times, [work]);
  return taken!;
}

/** The same for several things done in turn, so that whatever else the machine does falls on all of them alike. */
export async function timedInTurn(times: number, works: readonly (() => unknown)[]): Promise<Taken[]> {
  const taken = works.map((): number[] => []);
  const warm = Math.min(times, 200);
  for (let run = -warm; run < times; run += 1) {
    for (const [index, work] of works.entries()) {
      const start = performance.now();
      await work();
      if (run >= 0) taken[index]!.push(performance.now() - start);
    }
  }
  return taken.map((list) => {
    list.sort((a, b) => a - b);
    const at = (share: number) => list[Math.min(list.length - 1, Math.floor(share * list.length))]!;
    return { median: at(0.5), p95: at(0.95) };
  });
}

/**
 * The same, each in several stretches taken in turn with the others', and of each work the quietest stretch by its median:
 * what else a shared machine does only ever adds, for seconds at a time.
 */
export async function timedQuietest(times: number, works: readonly (() => unknown)[], stretches = 7): Promise<Taken[]> {
  const best: Taken[] = [];
  for (let stretch = 0; stretch < stretches; stretch += 1)
    for (const [index, work] of works.entries()) {
      const taken = await timed(Math.ceil(times / stretches), work);
      if (!best[index] || taken.median < best[index].median) best[index] = taken;
    }
  return best;
}

export function ms(value: number): string {
  return `${value.toFixed(3)} ms`;
}
