import { byCode } from '../../base/units';
import { weekdayOf, type Day } from './days';

/** When a house has time to crochet: every make shares it. */
export interface HoursSpec {
  /** Hours on each day of the week, from the Monday. */
  week: readonly number[];
  /** Days that are unlike their weekday: 0 hours is a day off. */
  days?: readonly DayHours[];
  /** When a sitting begins, by the clock: 19:30. */
  startsAt?: string;
  /** A reminder so many minutes before; none where it is left out. */
  reminder?: number;
  /** The day each plan, make or batch is wanted, by its id. */
  wanted?: Readonly<Record<string, Day>>;
  /** What a calendar was given of each make, by its id. */
  sent?: Readonly<Record<string, Sent>>;
}

export interface DayHours {
  day: Day;
  hours: number;
  /** Why, where it was said: the entry of a calendar. */
  note?: string;
}

/** How many sittings of a make a calendar was given, and how often. */
interface Sent {
  sittings: number;
  times: number;
}

/** A house has one document of hours: every device knows it by this id. */
export const HOURS_ID = 'f0000000-0000-4000-8000-000000000001';

/** An hour on five evenings and two on a day of the weekend (prior, ours). */
export const FIRST_HOURS: HoursSpec = { week: [1, 1, 1, 1, 0, 2, 2] };

/** Sittings begin then, where nothing is said. */
export const FIRST_START = '19:30';

/** Minutes that there are on a day. */
export function minutesOn({ week, days = [] }: HoursSpec, day: Day): number {
  const own = days.find((one) => one.day === day);
  return 60 * (own ? own.hours : (week[weekdayOf(day)] ?? 0));
}

/** No day has more, h. */
export const MOST_HOURS = 16;

/** A day with so many minutes more or less than it had. */
function withMinutes(hours: HoursSpec, day: Day, more: number): HoursSpec {
  const minutes = Math.min(60 * MOST_HOURS, Math.max(0, minutesOn(hours, day) + more));
  return withDay(hours, { day, hours: Math.round((minutes / 60) * 1000) / 1000 });
}

/** A day said anew, whatever was said of it before. */
export function withDay(hours: HoursSpec, said: DayHours): HoursSpec {
  const others = (hours.days ?? []).filter(({ day }) => day !== said.day);
  return { ...hours, days: [...others, said].sort((a, b) => byCode(a.day, b.day)) };
}

/** A day as its weekday again. */
export function withoutDay(hours: HoursSpec, day: Day): HoursSpec {
  return { ...hours, days: (hours.days ?? []).filter((one) => one.day !== day) };
}

/** What is left of a day is given up with the sitting that leaves it, where it is less, minutes (ours). */
const SCRAP_OF_A_DAY = 20;

/** The time of a sitting taken from one day to another. */
export function slid(hours: HoursSpec, from: Day, to: Day, minutes: number): HoursSpec {
  if (from === to) return hours;
  const stays = minutesOn(hours, from) - minutes;
  const leaves = stays < SCRAP_OF_A_DAY ? minutesOn(hours, from) : minutes;
  return withMinutes(withMinutes(hours, from, -leaves), to, leaves);
}

/** A plan, make or batch wanted on a day, or no longer. */
export function withWanted(hours: HoursSpec, id: string, day: Day | undefined): HoursSpec {
  const { [id]: _before, ...others } = hours.wanted ?? {};
  return { ...hours, wanted: day === undefined ? others : { ...others, [id]: day } };
}
