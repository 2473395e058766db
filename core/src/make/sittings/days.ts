import { addDays } from 'date-fns/addDays';
import { differenceInCalendarDays } from 'date-fns/differenceInCalendarDays';
import { getISODay } from 'date-fns/getISODay';
import { isValid } from 'date-fns/isValid';
import { lightFormat } from 'date-fns/lightFormat';
import { parseISO } from 'date-fns/parseISO';

/** A day of the calendar, as 2026-12-05. */
export type Day = string;

/** Days as the week has them, its first the Monday. */
export const WEEKDAYS = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'] as const;

// the months by their names are ours: the library's own words for them weigh more than all else of it that is used
const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'] as const;

/** Midnight of a day, by the clock of wherever this runs: days are told and counted, never hours. */
const at = (day: Day): Date => parseISO(day);
const dayOf = (date: Date): Day => lightFormat(date, 'yyyy-MM-dd');

/** Whether text names a day that the calendar has: no 30th of February. */
export const isDay = (text: string): boolean => /^\d{4}-\d\d-\d\d$/.test(text) && isValid(at(text));

/** The day so many days after another. */
export const dayAfter = (day: Day, days: number): Day => dayOf(addDays(at(day), days));

/** Days from one to another; less than nothing where that is before it. */
export const daysBetween = (from: Day, to: Day): number => differenceInCalendarDays(at(to), at(from));

/** Which day of the week it is, 0 the Monday. */
export const weekdayOf = (day: Day): number => getISODay(at(day)) - 1;

/** A day as people say it: Sat 5 Dec. */
export const dayText = (day: Day): string =>
  `${WEEKDAYS[weekdayOf(day)]!.slice(0, 3)} ${Number(day.slice(8))} ${MONTHS[Number(day.slice(5, 7)) - 1]}`;

/** How far a month and a day without a year may lie in the past before the next year is meant, days (ours). */
const PAST = 31;

/**
 * A day as it is typed: Saturday, tomorrow, 5 Dec, Dec 5, 5 December 2026, 2026-12-05. A weekday is the next one, today
 * among them. Digits alone are not read: 5/12 is two different days.
 *
 * @returns undefined where it names none
 */
export function parseDay(text: string, today: Day): Day | undefined {
  const said = text.trim().toLowerCase().replace(/[.,]/g, ' ').replace(/\s+/g, ' ').trim();
  if (isDay(said)) return said;
  if (said === 'today' || said === 'tonight') return today;
  if (said === 'tomorrow') return dayAfter(today, 1);
  return weekday(said, today) ?? dated(said, today);
}

function weekday(said: string, today: Day): Day | undefined {
  if (said.length < 3) return undefined;
  const index = WEEKDAYS.findIndex((name) => name.toLowerCase().startsWith(said));
  return index < 0 ? undefined : dayAfter(today, (index - weekdayOf(today) + 7) % 7);
}

function dated(said: string, today: Day): Day | undefined {
  // a weekday before it only helps people
  const plain = said.replace(/^(mon|tue|wed|thu|fri|sat|sun)[a-z]* (?=.)/, '');
  const found =
    /^(?<day>\d{1,2})(?:st|nd|rd|th)? (?<month>[a-z]{3,9})(?: (?<year>\d{4}))?$/.exec(plain) ??
    /^(?<month>[a-z]{3,9}) (?<day>\d{1,2})(?:st|nd|rd|th)?(?: (?<year>\d{4}))?$/.exec(plain);
  if (!found) return undefined;
  const { day, month, year } = found.groups as { day: string; month: string; year?: string };
  const index = MONTHS.findIndex((name) => month.startsWith(name.toLowerCase()));
  if (index < 0) return undefined;
  const inYear = (of: number): Day => `${of}-${String(index + 1).padStart(2, '0')}-${day.padStart(2, '0')}`;
  const thisYear = Number(today.slice(0, 4));
  const meant = inYear(year ? Number(year) : thisYear);
  if (!isDay(meant)) return undefined;
  return year || daysBetween(meant, today) <= PAST ? meant : inYear(thisYear + 1);
}
