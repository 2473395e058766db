import type { MakeEvent } from '../../make/log';
import { LONGEST_MM } from '../../base/units';
import { optional, required, type Form, type Key } from './form';
import { MOST_RUNS, planForm } from './plan';
import { check, type Checked } from './toJoi';

/** Events sent at once. */
export const MOST_EVENTS = 1000;
const MOST_AT_ONCE = 500;
const MOST_COURSES_COUNTED = 100_000;

const base = {
  id: required({ is: 'id' }),
  make: required({ is: 'id' }),
  device: required({ is: 'id' }),
  at: required({ is: 'time' }),
  n: optional({
    is: 'number',
    min: 0,
    max: Number.MAX_SAFE_INTEGER,
    whole: true,
    note: 'one more than the greatest seen in its make',
  }),
};

const stepId: Form = { is: 'text', min: 1, max: 80 };
const eventId: Form = { is: 'id', note: 'the id of an event' };
const course: Form = { is: 'number', min: 0, max: MOST_COURSES_COUNTED, whole: true };
const count = (max: number, unit: string): Key => optional({ is: 'number', min: 0, max, unit });
const length: Form = { is: 'number', min: 0, max: LONGEST_MM, unit: 'mm' };
const ids: Form = { is: 'list', of: eventId, min: 1, max: MOST_AT_ONCE };
const note: Form = { is: 'text', min: 1, max: 2000, lines: 'lines' };
const nothing: Form = { is: 'one-of', values: [null] };

const happenings: Record<string, Record<string, Key>> = {
  ticked: { step: optional(stepId), under: optional({ is: 'either', of: [eventId, nothing] }) },
  undone: { ticks: optional(ids), undoes: optional(eventId) },
  placed: { piece: required(stepId), course: required(course) },
  measured: {
    piece: required(stepId),
    what: required({ is: 'one-of', values: ['width', 'height', 'girth', 'diameter', 'stitches', 'rows'] }),
    count: optional(course),
    mm: required(length),
    by: optional(stepId),
    counted: optional(stepId),
    atStep: required({ is: 'either', of: [stepId, nothing] }),
  },
  weighed: {
    grams: required({ is: 'number', min: 0, max: 100_000, unit: 'g' }),
    by: optional({
      is: 'one-of',
      values: ['eye'],
      note: 'by how much of the ball is left; on a scale where nothing is said',
    }),
    colour: optional({
      is: 'text',
      min: 1,
      max: 60,
      note: 'of which of several yarns; that on the hook where nothing is said',
    }),
  },
  landed: {
    run: required({ is: 'number', min: 0, max: MOST_RUNS - 1, whole: true, note: 'which of the yarn’s runs, from 0' }),
    stitches: required({ is: 'number', min: 0, max: 2000, unit: 'stitches' }),
    atStep: required(stepId),
  },
  decided: {
    choice: required(stepId),
    from: required({
      is: 'either',
      of: [{ is: 'object', keys: { piece: required(stepId), course: required(course) } }, nothing],
    }),
    plan: required(planForm),
    asked: optional(planForm),
  },
  noted: { text: required(note), step: required({ is: 'either', of: [stepId, course] }) },
  paused: {},
  resumed: {},
  finished: {
    asMade: optional({
      is: 'object',
      keys: {
        width: optional(length),
        height: optional(length),
        girth: optional(length),
        depth: optional(length),
        strap: optional(length),
      },
    }),
    pockets: optional({
      is: 'list',
      max: 20,
      of: { is: 'either', of: [length, nothing] },
      note: 'how deep each of several pockets is inside',
    }),
    fits: optional({ is: 'either', of: [{ is: 'one-of', values: ['tight', 'right', 'loose'] }, { is: 'truth' }] }),
    rooms: optional({
      is: 'list',
      max: 200,
      of: { is: 'text', min: 1, max: 200 },
      note: 'which of several rooms sit so',
    }),
    grams: count(100_000, 'g'),
    minutes: count(1_000_000, 'min'),
    note: optional(note),
    picture: optional({ is: 'text', min: 1, max: 100_000, note: 'a small picture of it, as a data URI' }),
  },
  reopened: {},
};

export const eventForm: Form = {
  is: 'variant',
  by: 'kind',
  forms: Object.fromEntries(
    Object.entries(happenings).map(([kind, keys]) => [kind, { is: 'object', keys: { ...base, ...keys } }]),
  ),
};
(eventForm.forms.undone as { atLeastOne?: readonly string[] }).atLeastOne = ['ticks', 'undoes'];

const eventsForm: Form = { is: 'list', of: eventForm, max: MOST_EVENTS };

/** Checks a batch of events. */
export function checkEvents(value: unknown): Checked<MakeEvent[]> {
  return check(eventsForm, value, 'events');
}
