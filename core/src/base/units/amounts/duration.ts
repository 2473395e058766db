import { fixed } from '../length';
import { ONE_AND_UNIT, parseNumber } from './number';
import { notUnderstood, understood, type Amount, type Reading } from './reading';

/** Minutes in one of each. */
const MINUTES = { h: 60, min: 1 } as const;
type TimeUnit = keyof typeof MINUTES;

const WORDS: Readonly<Record<string, TimeUnit>> = {
  h: 'h',
  hr: 'h',
  hrs: 'h',
  hour: 'h',
  hours: 'h',
  m: 'min',
  min: 'min',
  mins: 'min',
  minute: 'min',
  minutes: 'min',
};

/** More hours than a day has are minutes. */
const DAY_H = 24;

const CLOCK = /^(\d{1,4}):([0-5]\d)(?:\s*h)?$/;
const TOGETHER = /^(\d+)\s*(?:h|hrs?|hours?)\s*(\d{1,2})\s*(?:m|mins?|minutes?)?$/i;

const EXAMPLE = '30 min, 1:30 or 1.5 h';

/**
 * Reads how long something takes: `30 min`, `1:30`, `1½`, `1.5 h`, `1 h 30`, `90`.
 *
 * @param bare what a plain number is: hours up to a day's, beyond that minutes; or minutes, of which a part is a part of an hour
 * @returns minutes; a message that names the text and the repair. Never throws
 */
export function parseDuration(text: string, bare: TimeUnit): Reading {
  const typed = text.trim();
  const clock = CLOCK.exec(typed);
  if (clock) return understood(60 * Number(clock[1]) + Number(clock[2]));
  const together = TOGETHER.exec(typed);
  if (together && Number(together[2]) < 60) return understood(60 * Number(together[1]) + Number(together[2]));
  const [, number = '', word] = ONE_AND_UNIT.exec(typed) ?? [];
  const read = parseNumber(number, 'ask');
  if (number.trim() === '' || !read.ok)
    return notUnderstood(
      `“${typed}” is not a time. Write it like ${EXAMPLE}.${read.ok || !read.message.includes(' may be ') ? '' : ` ${read.message}`}`,
    );
  const unit = word === undefined ? bareUnit(read.value, bare) : WORDS[word.toLowerCase()];
  if (!unit) return notUnderstood(`“${word}” is not a unit of time used here. Write it like ${EXAMPLE}.`);
  return understood(Math.round(read.value * MINUTES[unit] * 1000) / 1000);
}

function bareUnit(value: number, bare: TimeUnit): TimeUnit {
  if (bare === 'h') return value > DAY_H ? 'min' : 'h';
  return Number.isInteger(value) ? 'min' : 'h';
}

/** Minutes for reading: `45 min`, `1 h 30 min`, `2 h`. */
export function formatDuration(minutes: number): string {
  const [hours, rest] = [Math.floor(minutes / 60), minutes % 60];
  const text = [hours > 0 ? `${hours} h` : '', rest > 0 || hours === 0 ? `${fixed(rest, 3)} min` : ''];
  return text.filter(Boolean).join(' ');
}

/** A time kept in minutes; a plain number is minutes. */
export const MINUTES_TAKEN: Amount = {
  example: EXAMPLE,
  read: (text) => parseDuration(text, 'min'),
  write: formatDuration,
  echo: formatDuration,
};

/** A time kept in hours; a plain number is hours. */
export const HOURS_TAKEN: Amount = {
  example: EXAMPLE,
  read: (text) => {
    const read = parseDuration(text, 'h');
    return read.ok ? understood(read.value / 60) : read;
  },
  write: (hours) => `${fixed(hours, 4)} h`,
  echo: (hours) => formatDuration(Math.round(hours * 60 * 1000) / 1000),
};
