/** Under so many minutes a time is told to a quarter of an hour, above to half an hour. */
const BY_QUARTERS = 120;

const FRACTIONS: Readonly<Record<number, string>> = { 0: '', 15: '¼', 30: '½', 45: '¾' };

/** Minutes that were calculated, as people say them: 15 minutes, 1¾ hours, 3½ hours; no finer than they are known. */
export function duration(minutes: number): string {
  const step = minutes < BY_QUARTERS ? 15 : 30;
  const rounded = Math.max(15, Math.round(minutes / step) * step);
  if (rounded < 60) return `${rounded} minutes`;
  const [hours, rest] = [Math.floor(rounded / 60), rounded % 60];
  return rounded === 60 ? '1 hour' : `${hours}${FRACTIONS[rest]} hours`;
}
