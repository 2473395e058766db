import ical, { ICalAlarmType, ICalCalendarMethod, ICalEventStatus } from 'ical-generator';
import {
  dayAfter,
  FIRST_START,
  sittingText,
  type Day,
  type HoursSpec,
  type Job,
  type Sitting,
} from '../../make/sittings';

interface CalendarAsk {
  hours: HoursSpec;
  sittings: readonly Sitting[];
  jobs: readonly Pick<Job, 'id' | 'title' | 'events'>[];
  /** The first day that was planned. */
  from: Day;
  /** When the file is made, ISO 8601. */
  at: string;
}

export interface CalendarFile {
  text: string;
  /** What the calendar has of each make then, to be kept with the hours. */
  sent: NonNullable<HoursSpec['sent']>;
}

/** Whose entries are ours, by the end of their ids. */
export const OURS = '@keep-snug';

/** Days on which a make was worked before one. */
function daysWorked({ events = [] }: CalendarAsk['jobs'][number], before: Day): number {
  const days = events.flatMap(({ kind, at }) => (kind === 'ticked' && at.slice(0, 10) < before ? at.slice(0, 10) : []));
  return new Set(days).size;
}

/**
 * Sittings as a calendar file (iCalendar, RFC 5545). The n-th sitting of a make has the same id in every file, so that a
 * calendar moves it instead of holding it twice; one that is no longer needed is called off.
 */
export function calendarFile({ hours, sittings, jobs, from, at }: CalendarAsk): CalendarFile {
  const calendar = ical({ name: 'Crochet', prodId: '//keep-snug//sittings//EN', method: ICalCalendarMethod.PUBLISH });
  const starts = startsOf(hours, sittings);
  const sent: Record<string, { sittings: number; times: number }> = { ...hours.sent };
  for (const job of jobs) {
    const before = hours.sent?.[job.id];
    const past = daysWorked(job, from);
    const times = (before?.times ?? 0) + 1;
    const own = sittings.filter((sitting) => sitting.job === job.id);
    const idOf = (number: number) => `${job.id}-${number}${OURS}`;
    const common = { floating: true, sequence: times, stamp: at };
    for (const sitting of own) {
      const start = starts.get(sitting)!;
      const event = calendar.createEvent({
        ...common,
        id: idOf(past + sitting.number),
        start,
        end: new Date(start.getTime() + Math.ceil(sitting.minutes) * 60_000),
        summary: job.title,
        description: sittingText(sitting),
      });
      if (hours.reminder !== undefined)
        event.createAlarm({ type: ICalAlarmType.display, triggerBefore: 60 * hours.reminder, description: job.title });
    }
    const last = past + own.length;
    for (let number = last + 1; number <= (before?.sittings ?? 0); number += 1)
      calendar.createEvent({
        ...common,
        id: idOf(number),
        start: clock(dayAfter(from, 0), hours.startsAt ?? FIRST_START),
        summary: job.title,
        status: ICalEventStatus.CANCELLED,
      });
    if (last > 0) sent[job.id] = { sittings: last, times };
  }
  return { text: calendar.toString(), sent };
}

/** When each sitting begins: those of one day one after the other. */
function startsOf({ startsAt = FIRST_START }: HoursSpec, sittings: readonly Sitting[]): Map<Sitting, Date> {
  const free = new Map<Day, number>();
  return new Map(
    sittings.map((sitting) => {
      const start = free.get(sitting.day) ?? clock(sitting.day, startsAt).getTime();
      free.set(sitting.day, start + Math.ceil(sitting.minutes) * 60_000);
      return [sitting, new Date(start)];
    }),
  );
}

/** A time of a day by the clock on the wall. */
function clock(day: Day, time: string): Date {
  const [year, month, date] = day.split('-').map(Number) as [number, number, number];
  const [hour, minute] = time.split(':').map(Number) as [number, number];
  return new Date(year, month - 1, date, hour, minute);
}
