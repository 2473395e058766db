/** Whether whoever reads asked for less movement. */
export const isStill = (): boolean =>
  typeof matchMedia === 'function' && matchMedia('(prefers-reduced-motion: reduce)').matches;
