import {
  FIRST_START,
  MOST_HOURS,
  dayText,
  WEEKDAYS,
  withDay,
  withoutDay,
  type Day,
  type HoursSpec,
} from '@keep-snug/core/sittings';
import { formatNumber } from '@keep-snug/core';
import { useState } from 'react';
import { View } from 'react-native';
import { Action } from '@/ui/actions/Action';
import { CardBox } from '@/ui/layout/CardBox';
import { DayField } from '@/ui/fields/DayField';
import { FieldRow } from '@/ui/layout/FieldRow';
import { NumberField } from '@/ui/fields/NumberField';
import { Pick } from '@/ui/fields/Pick';
import { Words } from '@/ui/layout/Words';
import { changeHours } from '@/data/hours';

const STARTS = Array.from({ length: 96 }, (_, quarter) => {
  const clock = `${String(Math.floor(quarter / 4)).padStart(2, '0')}:${String((quarter % 4) * 15).padStart(2, '0')}`;
  return { id: clock, name: clock };
}).filter(({ id }) => id >= '06:00');

/** The hours of a week, and the days that are unlike their weekday. */
export function HoursPart({ hours, from }: { hours: HoursSpec; from: Day }) {
  const days = (hours.days ?? []).filter(({ day }) => day >= from);
  return (
    <CardBox label="Your hours">
      <Words as="heading" level={2}>
        Your hours
      </Words>
      <FieldRow>
        {WEEKDAYS.map((name, index) => (
          <NumberField
            key={name}
            label={name}
            value={hours.week[index] ?? 0}
            min={0}
            max={MOST_HOURS}
            unit="h"
            onChange={(value) =>
              changeHours((now) => ({ ...now, week: now.week.map((one, at) => (at === index ? value : one)) }))
            }
          />
        ))}
      </FieldRow>
      <FieldRow>
        <Pick
          label="Sittings begin at"
          value={hours.startsAt ?? FIRST_START}
          options={STARTS}
          onChange={(startsAt) => changeHours((now) => ({ ...now, startsAt }))}
        />
      </FieldRow>
      <Words as="strong" level={3}>
        Days off, and other days
      </Words>
      {days.map((one) => (
        <View key={one.day} style={{ flexDirection: 'row', alignItems: 'center', columnGap: 12 }}>
          <Words style={{ flex: 1 }}>
            {`${dayText(one.day)}: ${one.hours === 0 ? 'off' : `${formatNumber(one.hours, 2)} h`}${one.note ? ` (${one.note})` : ''}`}
          </Words>
          <Action label={`Remove ${dayText(one.day)}`} onPress={() => changeHours((now) => withoutDay(now, one.day))}>
            Remove
          </Action>
        </View>
      ))}
      <OtherDay />
    </CardBox>
  );
}

/** A day off, or one with hours of its own. */
function OtherDay() {
  const [day, setDay] = useState<Day>();
  const [own, setOwn] = useState(0);
  const [round, setRound] = useState(0);
  const add = () => {
    if (!day) return;
    changeHours((now) => withDay(now, { day, hours: own }));
    setDay(undefined);
    setOwn(0);
    setRound(round + 1);
  };
  return (
    <View style={{ gap: 4 }}>
      <FieldRow key={round}>
        <DayField label="Another day" value={day} onChange={setDay} onClear={() => setDay(undefined)} />
        <NumberField
          label="Hours on it"
          value={own}
          min={0}
          max={MOST_HOURS}
          unit="h"
          help="0 is a day off."
          onChange={setOwn}
        />
      </FieldRow>
      <View style={{ flexDirection: 'row' }}>
        <Action saves disabled={!day} onPress={add}>
          Add this day
        </Action>
      </View>
    </View>
  );
}
