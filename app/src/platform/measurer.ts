import { wrap, type Remote } from 'comlink';
import type { Measurer } from './measure.worker';

/** What looks at pictures beside the page, and how it is let go. */
export function openMeasurer(): { measurer: Remote<Measurer>; close: () => void } {
  const worker = new Worker(new URL('./measure.worker.ts', import.meta.url));
  return { measurer: wrap<Measurer>(worker), close: () => worker.terminate() };
}
