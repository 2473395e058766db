/** Minutes as people say them: 50 min, 2 h 10. */
export function duration(minutes: number): string {
  const rounded = Math.max(5, Math.round(minutes / 5) * 5);
  const hours = Math.floor(rounded / 60);
  if (hours === 0) return `${rounded} min`;
  return rounded % 60 === 0 ? `${hours} h` : `${hours} h ${rounded % 60}`;
}
