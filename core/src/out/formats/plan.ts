import { MOST_COURSES, MOST_STITCHES } from '../../craft/counts';
import { COUNTINGS, MAY_SAY, SEQUENCES, STITCHES, type Bounds, type SwatchState, HOOKS } from '../../craft/fabric';
import { PlanProblem, type PlanFault } from '../../base/figure';
import { FITS } from '../../craft/fit';
import { FITTINGS } from '../../fittings';
import { PLAN_FORMAT, type Plan } from '../../plan/plan';
import { SHAPES, UNOFFERED } from '../../shapes';
import { TAILS } from '../../reckon/supplies';
import { CARRIERS, memberKinds, METHODS, THINGS, type ThingDefinition, type ThingList } from '../../craft/things';
import { LENGTH_UNITS, LONGEST_MM, type Field, type LengthField } from '../../base/units';
import { withoutStrayOptions } from './earlier';
import { fieldKeys, optional, required, type Form, type Key, type ObjectForm } from './form';
import { check, type Checked } from './toJoi';

const method: Form = { is: 'one-of', values: METHODS.map((m) => m.id), note: 'how it was measured' };
const spread: Form = {
  is: 'number',
  min: 0,
  max: 1000,
  unit: 'mm',
  note: 'how well it is known, where that was reckoned',
};
const typed: Form = { is: 'text', max: 60, note: 'the length as it was typed' };

/** A measure: millimetres, how it was taken, and the text it was typed as. */
function measureKey(field: LengthField): Key {
  const { mm } = fieldKeys([{ ...field, key: 'mm' }]);
  const keys = { mm: required(mm!.form), by: optional(method), typed: optional(typed), sd: optional(spread) };
  return { form: { is: 'object', keys, note: field.label }, optional: mm!.optional ?? false };
}

function measureKeys(fields: readonly LengthField[]): Record<string, Key> {
  return Object.fromEntries(fields.map((field) => [field.key, measureKey(field)]));
}

const MOST_MEMBERS = 12;

function thingObject(thing: ThingDefinition): ObjectForm {
  const { measures, numbers = [], choices = [], list, holdsThings, oneOf } = thing;
  return {
    is: 'object',
    keys: {
      name: optional({ is: 'text', max: 120 }),
      ...measureKeys(measures),
      ...fieldKeys(numbers),
      ...fieldKeys(choices),
      ...(numbers.some(({ key }) => key === 'massG')
        ? {}
        : { massG: optional({ is: 'number', min: 0, max: 50_000, unit: 'g' }) }),
      ...(list ? { [list.key]: { form: listForm(list), optional: list.least === 0 } } : {}),
      ...(holdsThings ? { members: required(membersForm()) } : {}),
    },
    ...(oneOf ? { atLeastOne: oneOf } : {}),
  };
}

function listForm({ measures, numbers, least, most }: ThingList): Form {
  return {
    is: 'list',
    min: least,
    max: most,
    of: {
      is: 'object',
      keys: { name: optional({ is: 'text', max: 60 }), ...measureKeys(measures), ...fieldKeys(numbers) },
    },
  };
}

function membersForm(): Form {
  const forms = Object.fromEntries(memberKinds().map((member) => [member.id, thingObject(member)]));
  return { is: 'list', min: 1, max: MOST_MEMBERS, of: { is: 'variant', by: 'kind', forms } };
}

function optionForms(definitions: readonly { id: string; options: readonly Field[] }[]): Record<string, ObjectForm> {
  return Object.fromEntries(definitions.map(({ id, options }) => [id, { is: 'object', keys: fieldKeys(options) }]));
}

const hookMm: Form = { is: 'number', min: HOOKS.least, max: HOOKS.most, unit: 'mm' };

const gaugeMeasures: Form = {
  is: 'list',
  max: 50,
  of: {
    is: 'object',
    keys: {
      count: required({ is: 'number', min: 1, max: 1000, note: 'stitches, rows, rounds or chains counted' }),
      overMm: optional({ is: 'number', min: 1, max: LONGEST_MM, unit: 'mm' }),
      reaches: optional({ is: 'one-of', values: ['round'], note: 'they reach just round the item' }),
      by: optional(method),
      counted: optional({
        is: 'one-of',
        values: Object.keys(COUNTINGS),
        note: 'from edge to edge, the whole ones within, laid anywhere, or chained until they reached',
      }),
      on: optional({ is: 'one-of', values: ['piece'], note: 'measured on the plan’s own piece' }),
      typed: optional(typed),
    },
    atLeastOne: ['overMm', 'reaches'],
  },
};

const SWATCH_STATES: readonly SwatchState[] = ['as-worked', 'blocked', 'washed'];

/** What is set of a stitch pattern, by the stitch. */
export const patternOfStitch: NonNullable<ObjectForm['depends']> = {
  key: 'pattern',
  on: 'stitch',
  forms: optionForms(STITCHES),
};

export const gaugeForm: ObjectForm = {
  is: 'object',
  keys: {
    stitches: optional(gaugeMeasures),
    rows: optional(gaugeMeasures),
    roundStitches: optional(gaugeMeasures),
    rounds: optional(gaugeMeasures),
    chains: optional(gaugeMeasures),
    twoLayers: optional({
      is: 'object',
      keys: {
        mm: required({ is: 'number', min: 0.2, max: 100, unit: 'mm' }),
        by: optional(method),
        typed: optional(typed),
      },
      note: 'two layers of it pressed together, measured through',
    }),
    state: optional({ is: 'one-of', values: SWATCH_STATES, note: 'how the swatch was when it was measured' }),
    stitch: optional({
      is: 'one-of',
      values: STITCHES.map((s) => s.id),
      note: 'what it was worked in, where not the fabric’s own',
    }),
    hookMm: optional({ ...hookMm, note: 'what it was worked with, where not the fabric’s own' }),
  },
  depends: patternOfStitch,
};

const numberWithin = ({ least, most }: Bounds) => ({ is: 'number', min: least, max: most }) as const;

const someMakes: Form = { is: 'number', min: 1, max: 10_000, whole: true };

/** What the maker's own stitches do against what is usual. */
const ownRatio = (note: string): Key =>
  optional({
    is: 'object',
    keys: {
      ratio: required(numberWithin(MAY_SAY.own)),
      spread: required(numberWithin(MAY_SAY.ownSpread)),
      makes: required(someMakes),
    },
    note,
  });

const colourName: Form = { is: 'text', min: 1, max: 60 };

/** A rule for the colours of rows: its colours with what each has a part in, and what is set of it. */
function sequenceForm({ part, options }: (typeof SEQUENCES)[number]): ObjectForm {
  const own: Record<string, Key> = part
    ? { part: optional({ is: 'number', min: part.least, max: part.most, unit: part.unit }) }
    : {};
  return {
    is: 'object',
    keys: {
      colours: required({
        is: 'list',
        min: 1,
        max: 12,
        of: { is: 'object', keys: { name: required(colourName), ...own } },
      }),
      ...fieldKeys(options),
    },
  };
}

const ratio: Form = { ...numberWithin(MAY_SAY.hand), note: 'measured against estimated' };

export const thingForm: Form = {
  is: 'variant',
  by: 'kind',
  forms: Object.fromEntries(THINGS.map((thing) => [thing.id, thingObject(thing)])),
};

const carrierForm: Form = {
  is: 'variant',
  by: 'kind',
  forms: Object.fromEntries(
    CARRIERS.map(({ id, measures, asksFirst, choices = [] }) => [
      id,
      {
        is: 'object',
        keys: {
          name: optional({ is: 'text', max: 120 }),
          ...measureKeys(measures),
          ...fieldKeys([...(asksFirst ? [asksFirst] : []), ...choices]),
        },
      },
    ]),
  ),
};

export const MOST_RUNS = 40;

/** The colours of a yarn that repeats, each as long as it was counted or measured. */
export const runsForm: Form = {
  is: 'list',
  min: 1,
  max: MOST_RUNS,
  of: {
    is: 'object',
    keys: {
      name: required({ is: 'text', min: 1, max: 40 }),
      hex: optional({ is: 'hex' }),
      stitches: optional({ is: 'number', min: 0.5, max: 2000, unit: 'stitches' }),
      mm: optional({ is: 'number', min: 1, max: 100_000, unit: 'mm' }),
    },
    atLeastOne: ['stitches', 'mm'],
    atMostOne: ['stitches', 'mm'],
  },
  note: 'colours that repeat along it',
};

export const yarnForm: ObjectForm = {
  is: 'object',
  keys: {
    name: optional({ is: 'text', max: 120 }),
    metresPer100g: optional({ is: 'number', min: 5, max: 5000, unit: 'm' }),
    wrapsPerInch: optional({ is: 'number', min: 1, max: 100 }),
    category: optional({ is: 'number', min: 0, max: 7, whole: true }),
    fibre: optional({ is: 'text', max: 60 }),
    colour: optional({ is: 'text', max: 60 }),
    hex: optional({ is: 'hex', note: 'its colour' }),
    strands: optional({ is: 'number', min: 1, max: 12, whole: true }),
    ballGrams: optional({ is: 'number', min: 1, max: 5000, unit: 'g' }),
    gramsLeft: optional({ is: 'number', min: 0, max: 100_000, unit: 'g' }),
    runs: optional(runsForm),
  },
  atLeastOne: ['metresPer100g', 'wrapsPerInch', 'category'],
};

const stitch: Form = { is: 'one-of', values: STITCHES.map((s) => s.id) };

const bandForm: ObjectForm = {
  is: 'object',
  keys: {
    stitch: required(stitch),
    courses: optional({ is: 'number', min: 1, max: MOST_COURSES, whole: true, note: 'rows or rounds it always has' }),
    mm: optional({ is: 'number', min: 1, max: LONGEST_MM, unit: 'mm' }),
    fill: optional({ is: 'truth', note: 'takes what the others leave; one band does' }),
    hookMm: optional(hookMm),
    colour: optional({ is: 'text', min: 1, max: 60, note: 'of the palette, or a name by itself' }),
    gauge: optional(gaugeForm),
  },
  atLeastOne: ['courses', 'mm', 'fill'],
  atMostOne: ['courses', 'mm', 'fill'],
  depends: patternOfStitch,
};

/** Courses worked already, run by run. */
const begunForm: ObjectForm = {
  is: 'object',
  keys: {
    piece: required({ is: 'text', min: 1, max: 60 }),
    tailMm: optional({
      is: 'number',
      min: 0,
      max: LONGEST_MM,
      unit: 'mm',
      note: 'what was left before it to sew with; 0 of a usual end',
    }),
    runs: required({
      is: 'list',
      min: 1,
      max: MOST_COURSES,
      of: {
        is: 'object',
        keys: {
          courses: required({ is: 'number', min: 1, max: MOST_COURSES, whole: true }),
          stitches: required({
            is: 'number',
            min: 1,
            max: MOST_STITCHES,
            whole: true,
            note: 'that each of them ends on',
          }),
          stitch: required(stitch),
          hookMm: optional(hookMm),
          colour: optional({ is: 'text', min: 1, max: 60 }),
          section: required({ is: 'text', min: 1, max: 60 }),
          mm: optional({
            is: 'number',
            min: 0.1,
            max: LONGEST_MM,
            unit: 'mm',
            note: 'what the tape said of them together',
          }),
        },
        depends: patternOfStitch,
      },
    }),
  },
};

export const fabricForm: ObjectForm = {
  is: 'object',
  keys: {
    stitch: required(stitch),
    hookMm: required(hookMm),
    chainHookMm: optional({ ...hookMm, note: 'for foundation chains only' }),
    yarn: optional(yarnForm),
    yarns: optional({
      is: 'list',
      min: 2,
      max: 4,
      of: yarnForm,
      note: 'different yarns held together, in place of one',
    }),
    weighed: optional({
      is: 'object',
      keys: {
        grams: required({ is: 'number', min: 0.1, max: 5000, unit: 'g' }),
        stitches: required({ is: 'number', min: 10, max: 100_000, whole: true }),
      },
      note: 'a weighed swatch',
    }),
    colours: optional({
      is: 'list',
      max: 12,
      of: {
        is: 'object',
        keys: {
          name: required({ is: 'text', min: 1, max: 60 }),
          rows: required({ is: 'number', min: 1, max: 1000, whole: true }),
        },
      },
      note: 'colours in the order they are worked, over and over',
    }),
    sequence: optional({
      is: 'variant',
      by: 'by',
      forms: Object.fromEntries(SEQUENCES.map((one) => [one.id, sequenceForm(one)])),
      note: 'a rule for the colours of rows',
    }),
    tails: optional({
      is: 'one-of',
      values: TAILS.map(({ id }) => id),
      note: 'what is done with the tails of a change of colour',
    }),
    pieceColours: optional({
      is: 'map',
      of: colourName,
      max: 40,
      note: 'pieces in a colour of their own, by the piece',
    }),
    scraps: optional({
      is: 'list',
      max: 40,
      of: {
        is: 'object',
        keys: {
          name: required(colourName),
          grams: required({ is: 'number', min: 0.1, max: 10_000, unit: 'g' }),
          hex: optional({ is: 'hex' }),
        },
      },
      note: 'small amounts in the order they are worked',
    }),
    bands: optional({
      is: 'list',
      max: 24,
      of: bandForm,
      note: 'stitches of the first piece one after the other; left out where it is of one',
    }),
    gauge: optional(gaugeForm),
    hand: optional({
      is: 'object',
      keys: {
        width: required(ratio),
        height: required(ratio),
        spread: required(numberWithin(MAY_SAY.handSpread)),
        spreadHeight: optional(numberWithin(MAY_SAY.handSpread)),
        makes: required(someMakes),
      },
      note: 'the maker’s own hand with such yarn',
    }),
    strapGrowth: ownRatio('growth of the maker’s own straps, against what is usual'),
    yarnUse: ownRatio('yarn in the maker’s own stitches, against what is usual'),
    rate: optional({
      is: 'object',
      keys: {
        perMinute: required({ ...numberWithin(MAY_SAY.perMinute), note: 'single crochet (US) a minute' }),
        spread: required(numberWithin(MAY_SAY.rateSpread)),
        makes: required(someMakes),
      },
      note: 'the maker’s own pace',
    }),
  },
  atLeastOne: ['yarn', 'yarns'],
  atMostOne: ['yarn', 'yarns'],
  depends: patternOfStitch,
};

/** Every fitting may be in a colour of its own, and the top it belongs to. */
const fittingForms = Object.fromEntries(
  Object.entries(optionForms(FITTINGS)).map(([id, form]) => [
    id,
    { ...form, keys: { ...form.keys, colour: optional(colourName), topColour: optional(colourName) } },
  ]),
);

export const atHandForm: ObjectForm = {
  is: 'object',
  keys: {
    hooksMm: optional({ is: 'list', max: 40, of: hookMm }),
    yarns: optional({ is: 'list', max: 200, of: yarnForm }),
  },
  note: 'what the maker has: proposed first where a plan does not fit',
};

/** The form of `keep-snug.plan/1`, built from the definitions it names. */
export const planForm: ObjectForm = {
  is: 'object',
  keys: {
    format: required({ is: 'one-of', values: [PLAN_FORMAT] }),
    title: required({ is: 'text', min: 1, max: 120 }),
    thing: required(thingForm),
    carrier: optional(carrierForm),
    fabric: required(fabricForm),
    shape: required({ is: 'variant', by: 'kind', forms: optionForms([...SHAPES, ...UNOFFERED]) }),
    palette: optional({
      is: 'map',
      of: {
        is: 'object',
        keys: {
          hex: required({ is: 'hex' }),
          yarn: optional({ is: 'text', max: 120 }),
          gramsLeft: optional({ is: 'number', min: 0, max: 100_000, unit: 'g' }),
        },
      },
      max: 24,
      note: 'how the colours look that are named in it',
    }),
    fit: required({
      is: 'object',
      keys: {
        name: required({ is: 'one-of', values: FITS.map((fit) => fit.id) }),
        easePercent: optional({ is: 'number', min: -50, max: 200, unit: '%' }),
        easeMm: optional({ is: 'number', min: -500, max: 1000, unit: 'mm' }),
        coverMm: optional({ is: 'number', min: 0, max: 500, unit: 'mm' }),
      },
      atMostOne: ['easePercent', 'easeMm'],
    }),
    fittings: optional({ is: 'list', max: 20, of: { is: 'variant', by: 'kind', forms: fittingForms } }),
    parked: optional({
      is: 'list',
      max: 40,
      of: { is: 'variant', by: 'kind', forms: fittingForms },
      note: 'fittings kept for another shape',
    }),
    picks: optional({
      is: 'map',
      of: { is: 'number', min: 1, max: MOST_COURSES, whole: true },
      max: 20,
      note: 'counts taken over the best',
    }),
    begun: optional({
      is: 'list',
      max: 40,
      of: begunForm,
      note: 'what is worked of it already, as it stands',
    }),
    setAside: optional({
      is: 'list',
      of: { is: 'text', min: 1, max: 60 },
      max: 40,
      note: 'cautions read and set aside on screen',
    }),
    schools: optional({
      is: 'object',
      keys: {
        terms: optional({ is: 'one-of', values: ['US', 'UK'] }),
        rounds: optional({ is: 'one-of', values: ['joined', 'spiral'] }),
        turningChainCounts: optional({ is: 'truth' }),
        hand: optional({ is: 'one-of', values: ['right', 'left'] }),
        units: optional({ is: 'one-of', values: LENGTH_UNITS }),
        ring: optional({ is: 'one-of', values: ['wrapped', 'two-chains'] }),
        foundation: optional({ is: 'one-of', values: ['chain', 'stitches'] }),
      },
    }),
    atHand: optional(atHandForm),
  },
};

/** Checks the form of a plan. What only reckoning can tell (an edge rounder than its depth) is told by reckon. */
export function checkPlan(value: unknown): Checked<Plan> {
  return check<Plan>(planForm, withoutStrayOptions(value));
}

/** The longest plan that is read, in characters. */
export const LONGEST_PLAN = 200_000;

/**
 * Reads a plan from text.
 * @throws PlanProblem when it is too long, not JSON, or not of the form of a plan
 */
export function parsePlan(text: string): Plan {
  if (text.length > LONGEST_PLAN)
    throw problem(
      `${text.length} characters; a plan has at most ${LONGEST_PLAN}. Send one plan without pictures or notes.`,
    );
  const checked = checkPlan(parseJson(text));
  if (!checked.ok) throw new PlanProblem(checked.errors);
  return checked.value;
}

function parseJson(text: string): unknown {
  try {
    return JSON.parse(text) as unknown;
  } catch (error) {
    throw problem(`Not JSON (${(error as Error).message}). Write the plan as one JSON object.`);
  }
}

function problem(message: string): PlanProblem {
  const errors: PlanFault[] = [{ path: 'plan', message }];
  return new PlanProblem(errors);
}
