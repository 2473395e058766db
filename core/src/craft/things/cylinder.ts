import { derive, measured, type Advice, type Figure, type PlanFault } from '../../base/figure';
import { LONGEST_MM, mmToken, mostToken, typedToken, type LengthField } from '../../base/units';
import type { ThingDefinition, ThingEntry, ThingSpec, WorkedThing } from './definition';
import { figureOf, measureFigure, mmOf, type Measure } from './measure';
import { turnedOutline } from './outline';
import type { Station } from './types';

/** Across and round what hands hold: outside these a value is odd, mm (prior, ours). */
const ORDINARY = { across: [25, 150], round: [80, 470] } as const;

const length = (key: string, label: string, help: string, usual: readonly [number, number]): LengthField => ({
  key,
  kind: 'length',
  label,
  help,
  usual,
  min: 1,
  max: LONGEST_MM,
  optional: true,
});

const measures: readonly LengthField[] = [
  { ...length('height', 'Height', 'All of it that should be covered, bottom to top.', [40, 600]), optional: false },
  length('diameter', 'Diameter', 'Through the body, where it is widest.', ORDINARY.across),
  length(
    'girth',
    'Circumference',
    'By tape or string around the body. It is used before the diameter.',
    ORDINARY.round,
  ),
  length('shoulderHeight', 'Shoulder height', 'From the bottom to where it begins to narrow.', [20, 500]),
  length('neckDiameter', 'Neck diameter', 'Where it is narrow again.', [10, 120]),
];

const within = (value: number, [low, high]: readonly [number, number]): boolean => value >= low && value <= high;

/**
 * Whether a measure across and one round were mixed up: odd as given, ordinary as the other (handbook 1). A question,
 * never a refusal.
 *
 * @param mm the value as given
 * @param given what it was given as
 */
export function mixedUp(mm: number, given: 'across' | 'round'): Advice | undefined {
  const asOther = given === 'across' ? within(mm, ORDINARY.round) : within(mm, ORDINARY.across);
  if (within(mm, ORDINARY[given]) || !asOther) return undefined;
  const [other, would] = given === 'across' ? (['round', mm * Math.PI] as const) : (['across', mm / Math.PI] as const);
  return {
    id: 'across-or-round',
    severity: 'question',
    text:
      given === 'across'
        ? `A diameter of ${typedToken(mm)} means ${mmToken(would)} around. That is unusually large. Did you measure around the item?`
        : `${typedToken(mm)} around means a diameter of ${mmToken(would)}. That is unusually small. Did you measure the diameter?`,
    repair: `If so, move it to “${other === 'round' ? 'Circumference' : 'Diameter'}”. If it is right, continue.`,
    at: given === 'across' ? 'thing.diameter' : 'thing.girth',
  };
}

/** Stations from the bottom up: body, shoulder, neck, and whatever heights were measured besides (handbook 1). */
function stations(given: ThingSpec, body: number, height: number): Station[] {
  const shoulder = mmOf(given, 'shoulderHeight') ?? height;
  const neck = mmOf(given, 'neckDiameter');
  const between = ((given.stations as readonly ThingEntry[] | undefined) ?? []).map((entry) => ({
    name: 'station',
    height: mmOf(entry, 'height')!,
    diameter: mmOf(entry, 'diameter')!,
  }));
  const own: Station[] = [
    { name: 'bottom', height: 0, diameter: body },
    { name: 'shoulder', height: shoulder, diameter: body },
    ...(neck === undefined ? [] : [{ name: 'neck', height, diameter: neck }]),
  ];
  return [...own, ...between].sort((a, b) => a.height - b.height);
}

/** Grams carried: empty, and a millilitre of water weighs a gram (handbook 1). */
function carried(given: ThingSpec): Figure<'g'> | undefined {
  const empty = given.massG as number | undefined;
  const volume = given.volumeMl as number | undefined;
  if (empty === undefined && volume === undefined) return undefined;
  const m = measured(empty ?? 0, 'g', 5, 'weighed empty');
  const v = measured(volume ?? 0, 'g', 0.02 * (volume ?? 0), 'what it holds, 1 g a millilitre');
  return derive('g', 'mass = empty + volume', { empty: m, volume: v }, (x) => x.empty + x.volume);
}

/** What is so much higher than it is wide holds something to drink; a tin of anything is lower (prior, ours). */
const BOTTLE_HIGH = 1.4;

/** Whether it holds what can be hot or fizzy: as high as bottles are, or with a weight or a volume that was said. */
const isBottle = (given: ThingSpec, height: number, across: number): boolean =>
  height >= BOTTLE_HIGH * across || given.volumeMl !== undefined || given.massG !== undefined;

/**
 * A bottle, flask or jar: round it by tape where a tape was laid, else `πd` (law, handbook 1). Sized to its widest
 * station, since the bottom goes in first and everything above must follow.
 */
function work(given: ThingSpec): WorkedThing {
  const height = figureOf(given, 'height');
  const taped = given.girth as Measure | undefined;
  const round = taped
    ? measureFigure({ by: 'tape', ...taped })
    : derive('mm', 'g = πd', { d: figureOf(given, 'diameter') }, (v) => Math.PI * v.d);
  const body = derive('mm', 'd = g / π', { g: round }, (v) => v.g / Math.PI);
  const all = stations(given, body.value, height.value);
  const widest = Math.max(...all.map(({ diameter }) => diameter));
  const wide = widest > body.value + 0.01;
  const across = wide ? measured(widest, 'mm', 1, 'the widest station') : body;
  const girth = wide ? derive('mm', 'g = πd, at the widest', { d: across }, (v) => Math.PI * v.d) : round;
  const mass = carried(given);
  return {
    profile: 'round',
    getsWet: true,
    hazards: isBottle(given, height.value, across.value) ? ['bottle'] : [],
    girth,
    height,
    width: across,
    depth: across,
    corner: Math.min(across.value, height.value) / 8,
    pockets: 1,
    stations: all,
    ...(mass ? { mass } : {}),
    advice: advice(given, body.value, widest),
  };
}

/** Apart by more than this share, two measures of one girth disagree (prior, ours). */
const DISAGREE = 0.08;

function advice(given: ThingSpec, body: number, widest: number): Advice[] {
  const d = mmOf(given, 'diameter');
  const g = mmOf(given, 'girth');
  const told: (Advice | undefined)[] = [
    g === undefined && d !== undefined ? mixedUp(d, 'across') : undefined,
    g === undefined ? undefined : mixedUp(g, 'round'),
  ];
  if (g !== undefined && d !== undefined && Math.abs(g / (Math.PI * d) - 1) > DISAGREE)
    told.push({
      id: 'across-against-round',
      severity: 'question',
      text: `${typedToken(d)} across would be ${mmToken(Math.PI * d)} round, and ${typedToken(g)} is given. The measure round is used.`,
      repair: 'Measure one of them again.',
      at: 'thing.diameter',
    });
  if (widest > body + 0.01)
    told.push({
      id: 'wider-above',
      severity: 'advice',
      text: `It is wider above (${mmToken(widest)} across) than at the body (${mmToken(body)}): the cover is sized to the widest, and the body will have room.`,
      repair: 'Stop below the wide part, or gather the opening with a drawstring.',
      at: 'thing.neckDiameter',
    });
  return told.filter((one): one is Advice => one !== undefined);
}

function check(given: ThingSpec): PlanFault[] {
  const height = mmOf(given, 'height') ?? 0;
  const faults: PlanFault[] = [];
  const low = (key: string, mm: number | undefined, name: string) => {
    if (mm !== undefined && mm > height)
      faults.push({
        path: `${key}.mm`,
        message: `${name} at ${typedToken(mm)} lies above the top (${typedToken(height)}). Measure it from the bottom: ${mostToken(height)} or less.`,
      });
  };
  low('shoulderHeight', mmOf(given, 'shoulderHeight'), 'The shoulder');
  ((given.stations as readonly ThingEntry[] | undefined) ?? []).forEach((entry, index) =>
    low(`stations[${index}].height`, mmOf(entry, 'height'), 'A height'),
  );
  return faults;
}

export const cylinder: ThingDefinition = {
  id: 'cylinder',
  name: 'Round and upright',
  examples: 'bottle, flask, jar, mug',
  measures,
  profile: 'round',
  start: {
    word: 'Sling',
    shape: { kind: 'disc-wall' },
    fit: { name: 'snug' },
    fittings: [],
  },
  sketch: {
    outline: 'M26 42V86Q26 93 46 93Q66 93 66 86V42Q66 32 57 25V10Q46 13 35 10V25Q26 32 26 42ZM26 42Q46 50 66 42',
    tape: {
      height: 'M78 10V93',
      diameter: 'M26 60H66',
      girth: 'M26 60Q46 71 66 60Q46 52 26 60',
      shoulderHeight: 'M78 42V93',
      neckDiameter: 'M35 17H57',
      'stations.height': 'M78 70V93',
      'stations.diameter': 'M26 70H66',
    },
  },
  oneOf: ['diameter', 'girth'],
  eitherWay: { across: 'diameter', round: 'girth' },
  numbers: [
    { key: 'massG', kind: 'number', label: 'Empty weight', unit: 'g', min: 0, max: 50_000, optional: true },
    { key: 'volumeMl', kind: 'number', label: 'Volume it holds', unit: 'ml', min: 0, max: 50_000, optional: true },
  ],
  list: {
    key: 'stations',
    label: 'Other heights',
    one: 'height',
    help: 'How wide it is at a height above the bottom, where that matters.',
    measures: [
      { key: 'height', kind: 'length', label: 'Above the bottom', min: 0, max: LONGEST_MM },
      { key: 'diameter', kind: 'length', label: 'Diameter there', min: 1, max: LONGEST_MM },
    ],
    numbers: [],
    least: 0,
    most: 12,
  },
  usually: { girth: 'tape' },
  check,
  work,
  outline: ({ stations: all, height }) => turnedOutline(all!, height.value),
  inWords: ({ width, height }, _thing, say) =>
    `diameter ${say.length(width.value)}, height ${say.length(height.value)}`,
};
