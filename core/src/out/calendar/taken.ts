import ICAL from 'ical.js';
import { dayAfter, FIRST_START, minutesOn, type Day, type DayHours, type HoursSpec } from '../../make/sittings';
import { OURS } from './out';

/** Times that are looked at of an entry that comes again and again, within the days that are asked about. */
const MOST_TIMES = 1000;

/** So many times before those days are gone through at most: daily for longer than anybody lives. */
const MOST_BEFORE = 60_000;

/** What is taken of days, or what is wrong with the file. */
export type Taken = { ok: true; days: DayHours[] } | { ok: false; message: string };

/** A stretch of time by the clock on the wall, and what it is for. */
interface Busy {
  from: Date;
  to: Date;
  note: string;
}

/**
 * The days a calendar file has taken: a whole day is a day off, an hour at the time of a sitting is an hour less. Our own
 * sittings in it, what was called off, and what leaves a day free, take nothing.
 *
 * @param until the last day that is looked at
 */
export function takenDays(text: string, hours: HoursSpec, from: Day, until: Day): Taken {
  const busy = busyIn(text, new Date(`${from}T00:00:00`), dayEnd(until));
  if (!busy)
    return {
      ok: false,
      message: 'This is not a calendar file. Export one from your calendar as .ics and choose that.',
    };
  const days: DayHours[] = [];
  for (let day = from; day <= until; day = dayAfter(day, 1)) {
    const minutes = minutesOn(hours, day);
    if (minutes === 0) continue;
    const { lost, note } = lostOn(busy, day, hours.startsAt ?? FIRST_START, minutes);
    if (lost === 0) continue;
    const left = Math.max(0, minutes - lost) / 60;
    days.push({ day, hours: Math.round(4 * left) / 4, ...(note ? { note } : {}) });
  }
  return { ok: true, days };
}

function busyIn(text: string, since: Date, until: Date): Busy[] | undefined {
  let calendar: ICAL.Component;
  try {
    calendar = new ICAL.Component(ICAL.parse(text) as unknown as [string, [], []]);
  } catch {
    return undefined;
  }
  if (calendar.name !== 'vcalendar') return undefined;
  for (const zone of calendar.getAllSubcomponents('vtimezone')) ICAL.TimezoneService.register(zone);
  return calendar.getAllSubcomponents('vevent').flatMap((entry) => {
    const isFree = entry.getFirstPropertyValue('transp') === 'TRANSPARENT';
    const isOff = entry.getFirstPropertyValue('status') === 'CANCELLED';
    if (isFree || isOff || String(entry.getFirstPropertyValue('uid') ?? '').endsWith(OURS)) return [];
    return timesOf(new ICAL.Event(entry), since, until);
  });
}

function timesOf(event: ICAL.Event, since: Date, until: Date): Busy[] {
  if (!event.startDate) return [];
  const note = event.summary?.slice(0, 200) ?? '';
  const lasts = event.endDate ? event.endDate.toJSDate().getTime() - event.startDate.toJSDate().getTime() : 0;
  // a day without an end is that day
  const length = lasts || (event.startDate.isDate ? 24 * 3_600_000 : 0);
  const at = (from: Date): Busy => ({ from, to: new Date(from.getTime() + length), note });
  if (!event.isRecurring()) return [at(event.startDate.toJSDate())];
  const all: Busy[] = [];
  const times = event.iterator();
  let before = 0;
  for (let next = times.next(); next && all.length < MOST_TIMES && before < MOST_BEFORE; next = times.next()) {
    const one = at(next.toJSDate());
    if (one.from > until) break;
    if (one.to <= since) before += 1;
    else all.push(one);
  }
  return all;
}

/** Minutes of a day's sitting that are taken, and by what. */
function lostOn(busy: readonly Busy[], day: Day, startsAt: string, minutes: number): { lost: number; note: string } {
  const start = new Date(`${day}T${startsAt}:00`).getTime();
  const end = start + 60_000 * minutes;
  const over = busy
    .map(({ from, to, note }) => ({ from: Math.max(start, from.getTime()), to: Math.min(end, to.getTime()), note }))
    .filter(({ from, to }) => to > from)
    .sort((a, b) => a.from - b.from);
  let [lost, reached] = [0, start];
  for (const { from, to } of over) {
    lost += Math.max(0, to - Math.max(reached, from));
    reached = Math.max(reached, to);
  }
  return { lost: lost / 60_000, note: over[0]?.note ?? '' };
}

const dayEnd = (day: Day): Date => new Date(`${day}T23:59:59`);
