import ICAL from 'ical.js';
import { TERN_POINT } from '../../demo';
import { dayAfter, planSittings, withDay, type HoursSpec, type Job } from '../../make/sittings';
import { calendarFile, takenDays, type CalendarFile } from './index';

const FROM = '2026-12-01';
const plans = Object.values(TERN_POINT.plans);
const phone = plans.find(({ title }) => title.includes('Field phone'))!;
const job: Job = { id: 'c0000000-0000-4000-8000-000000000001', title: phone.title, plan: phone };
const quarters: HoursSpec = { week: [0.25, 0.25, 0.25, 0.25, 0.25, 0.5, 0.5], reminder: 15 };

function fileOf(hours: HoursSpec, from = FROM, jobs: readonly Job[] = [job]): CalendarFile {
  const { sittings } = planSittings({ hours, from, jobs });
  return calendarFile({ hours, sittings, jobs, from, at: '2026-12-01T12:00:00Z' });
}

/** As a calendar reads it. */
function entriesOf(text: string) {
  const calendar = new ICAL.Component(ICAL.parse(text) as unknown as [string, [], []]);
  return calendar.getAllSubcomponents('vevent').map((entry) => ({
    id: String(entry.getFirstPropertyValue('uid')),
    start: String(entry.getFirstPropertyValue('dtstart')),
    status: entry.getFirstPropertyValue('status'),
    sequence: entry.getFirstPropertyValue('sequence'),
    alarms: entry.getAllSubcomponents('valarm').length,
    says: String(entry.getFirstPropertyValue('description')),
  }));
}

describe('sittings as a calendar file', () => {
  it('are read back: each on its day at its time, with its reminder', () => {
    const { sittings } = planSittings({ hours: quarters, from: FROM, jobs: [job] });
    const entries = entriesOf(fileOf(quarters).text);
    expect(entries).toHaveLength(sittings.length);
    expect(entries.map(({ start }) => start)).toEqual(sittings.map(({ day }) => `${day}T19:30:00`));
    for (const { alarms, says } of entries) {
      expect(alarms).toBe(1);
      expect(says).toMatch(/row|finishing|start/i);
    }
    expect(entriesOf(fileOf({ week: quarters.week }).text)[0]!.alarms).toBe(0);
  });

  it('of one day follow each other', () => {
    const two = [job, { ...job, id: 'c0000000-0000-4000-8000-000000000002' }];
    const starts = entriesOf(fileOf({ week: [3, 3, 3, 3, 3, 3, 3] }, FROM, two).text).map(({ start }) => start);
    expect(starts).toHaveLength(2);
    expect(starts[0]).toBe(`${FROM}T19:30:00`);
    expect(starts[1]! > starts[0]!).toBe(true);
  });

  it('keep their ids when days change, and what is no longer needed is called off', () => {
    const first = fileOf(quarters);
    const changed = { ...withDay(quarters, { day: FROM, hours: 0 }), sent: first.sent };
    const again = fileOf(changed);
    const [before, after] = [entriesOf(first.text), entriesOf(again.text)];
    expect(after[0]).toMatchObject({ id: before[0]!.id, start: `${dayAfter(FROM, 1)}T19:30:00`, sequence: 2 });
    const longer = fileOf({ week: [2, 2, 2, 2, 2, 2, 2], sent: again.sent });
    const off = entriesOf(longer.text).filter(({ status }) => status === 'CANCELLED');
    const stood = after.filter(({ status }) => status !== 'CANCELLED');
    expect(off.map(({ id }) => id)).toEqual(stood.slice(1).map(({ id }) => id));
    expect(new Set(entriesOf(longer.text).map(({ id }) => id)).size).toBe(stood.length);
  });
});

const ENTRIES = `BEGIN:VCALENDAR
VERSION:2.0
PRODID:-//a calendar//EN
BEGIN:VEVENT
UID:1
DTSTART;VALUE=DATE:20261205
DTEND;VALUE=DATE:20261207
SUMMARY:away on the ferry
END:VEVENT
BEGIN:VEVENT
UID:2
DTSTART:20261201T193000
DTEND:20261201T200000
RRULE:FREQ=WEEKLY
SUMMARY:choir
END:VEVENT
BEGIN:VEVENT
UID:3
DTSTART:20261202T080000
DTEND:20261202T090000
SUMMARY:breakfast
END:VEVENT
BEGIN:VEVENT
UID:4
DTSTART;VALUE=DATE:20261203
TRANSP:TRANSPARENT
SUMMARY:birthday
END:VEVENT
END:VCALENDAR
`.replace(/\n/g, '\r\n');

describe('a calendar file that is read', () => {
  const hours: HoursSpec = { week: [1, 1, 1, 1, 1, 2, 2] };

  it('sees what has come again every week since 1996, and every day since 1920', () => {
    for (const [start, rule] of [
      ['19961203T193000', 'WEEKLY'],
      ['19200101T193000', 'DAILY'],
    ]) {
      const old = ENTRIES.replace('DTSTART:20261201T193000', `DTSTART:${start}`)
        .replace('DTEND:20261201T200000', `DTEND:${start!.replace('193000', '200000')}`)
        .replace('FREQ=WEEKLY', `FREQ=${rule}`);
      const taken = takenDays(old, hours, FROM, dayAfter(FROM, 9));
      expect(taken.ok && taken.days).toContainEqual({ day: '2026-12-01', hours: 0.5, note: 'choir' });
    }
  });

  it('takes whole days, and the hour that lies at the time of a sitting, again and again', () => {
    expect(takenDays(ENTRIES, hours, FROM, dayAfter(FROM, 9))).toEqual({
      ok: true,
      days: [
        { day: '2026-12-01', hours: 0.5, note: 'choir' },
        { day: '2026-12-05', hours: 0, note: 'away on the ferry' },
        { day: '2026-12-06', hours: 0, note: 'away on the ferry' },
        { day: '2026-12-08', hours: 0.5, note: 'choir' },
      ],
    });
  });

  it('of our own takes nothing', () => {
    expect(takenDays(fileOf(hours).text, hours, FROM, dayAfter(FROM, 30))).toEqual({ ok: true, days: [] });
  });

  it.each(['', 'hello', 'BEGIN:VCARD\r\nEND:VCARD', 'BEGIN:VCALENDAR'])('that is none is told so: %j', (text) =>
    expect(takenDays(text, hours, FROM, FROM)).toMatchObject({ ok: false }),
  );
});
