import { FIRST_HOURS, HOURS_ID, type Day, type HoursSpec } from '@keep-snug/core/sittings';
import { useLibrary } from './library';

/** The hours of this house; what is usual until any were said. */
export const useHours = (): HoursSpec => useLibrary((state) => heldHours(state) ?? FIRST_HOURS);

type Library = ReturnType<typeof useLibrary.getState>;

function heldHours({ shelves }: Library): HoursSpec | undefined {
  const held = shelves.hours[HOURS_ID];
  return held && !held.gone ? held.body : undefined;
}

/** Says the hours anew, from what they are now. */
export function changeHours(work: (hours: HoursSpec) => HoursSpec): void {
  const library = useLibrary.getState();
  const held = heldHours(library);
  const next = work(held ?? FIRST_HOURS);
  if (held) library.change('hours', HOURS_ID, next);
  else library.lay('hours', HOURS_ID, next);
}

/** Today by the clock of whoever looks at it. */
export function todayHere(now = new Date()): Day {
  const two = (part: number) => String(part).padStart(2, '0');
  return `${now.getFullYear()}-${two(now.getMonth() + 1)}-${two(now.getDate())}`;
}
