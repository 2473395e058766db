/** Minutes of a day or a sitting, as a clock has them: 45 min, 1 h 30. */
export function minutesText(minutes: number): string {
  const whole = Math.max(1, Math.round(minutes / 5) * 5 || Math.round(minutes));
  if (whole < 60) return `${whole} min`;
  const rest = whole % 60;
  return rest === 0 ? `${whole / 60} h` : `${Math.floor(whole / 60)} h ${String(rest).padStart(2, '0')}`;
}
