import { plural } from '@keep-snug/core';
import { dayAfter, withDay, type SittingsAsk, type SittingsTold } from '@keep-snug/core/sittings';
import { useState } from 'react';
import { View } from 'react-native';
import { Action } from '@/ui/actions/Action';
import { CardBox } from '@/ui/layout/CardBox';
import { chooseFile } from '@/platform/chooseFile';
import { NumberField } from '@/ui/fields/NumberField';
import { saveText } from '@/platform/saveText';
import { SwitchLine } from '@/ui/fields/SwitchLine';
import { Words } from '@/ui/layout/Words';
import { changeHours } from '@/data/hours';
import { calendars } from './calendars';

const eventsOf = ({ jobs }: SittingsAsk, id: string) => {
  const events = jobs.find((one) => one.id === id)?.events;
  return events ? { events } : {};
};

/** Entries so many days ahead are looked at. */
const LOOKED_AHEAD = 120;
const FIRST_REMINDER = 15;
/** A calendar that is larger is none of one house, bytes. */
const MOST_BYTES = 20_000_000;

/** Sittings out to a calendar, and days that are taken in from one. */
export function CalendarPart({ told, ask }: { told: SittingsTold | null; ask: SittingsAsk }) {
  const [said, setSaid] = useState('');
  const [fault, setFault] = useState('');
  const { hours, from } = ask;
  const save = async () => {
    const { calendarFile } = await calendars();
    const { text, sent } = calendarFile({
      hours,
      sittings: told!.sittings,
      jobs: told!.jobs.map(({ id, title }) => ({ id, title, ...eventsOf(ask, id) })),
      from,
      at: new Date().toISOString(),
    });
    saveText(text, 'keep-snug-sittings.ics', 'text/calendar;charset=utf-8');
    changeHours((now) => ({ ...now, sent }));
    setSaid(
      `${plural(told!.sittings.length, 'sitting')} saved. Open the file with your calendar; next time it moves them.`,
    );
  };
  const read = async () => {
    const file = await chooseFile('.ics,text/calendar');
    if (!file) return;
    setFault('');
    if (file.size > MOST_BYTES)
      return setFault('This file is larger than 20 MB. Export a shorter stretch of the calendar.');
    const { takenDays } = await calendars();
    const taken = takenDays(await file.text(), hours, from, dayAfter(from, LOOKED_AHEAD));
    if (!taken.ok) return setFault(taken.message);
    changeHours((now) => taken.days.reduce(withDay, now));
    setSaid(
      taken.days.length === 0
        ? 'No day of the coming four months is taken in it.'
        : `${plural(taken.days.length, 'day is', 'days are')} taken; they stand above.`,
    );
  };
  return (
    <CardBox label="Calendar">
      <Words as="heading" level={2}>
        Calendar
      </Words>
      <SwitchLine
        label="Remind me before each sitting"
        on={hours.reminder !== undefined}
        onChange={(on) =>
          changeHours(({ reminder: _before, ...now }) => (on ? { ...now, reminder: FIRST_REMINDER } : now))
        }
      />
      {hours.reminder === undefined ? null : (
        <NumberField
          label="Minutes before"
          value={hours.reminder}
          min={0}
          max={1440}
          whole
          unit="min"
          onChange={(reminder) => changeHours((now) => ({ ...now, reminder }))}
        />
      )}
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: 16, marginLeft: -4 }}>
        <Action disabled={!told || told.sittings.length === 0} onPress={() => void save()}>
          Save sittings as a calendar file
        </Action>
        <Action onPress={() => void read()}>Read taken days from a calendar file</Action>
      </View>
      {said ? (
        <Words as="small" tone="lichen" live>
          {said}
        </Words>
      ) : null}
      {fault ? (
        <Words as="small" tone="rowan" live>
          {fault}
        </Words>
      ) : null}
    </CardBox>
  );
}
