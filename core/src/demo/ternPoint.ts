import type { BatchRecord } from '../make/batches';
import type { Documents, DocumentKind } from '../out/formats/kinds';
import { MAKE_FORMAT, type Make } from '../make/log';
import { PLAN_FORMAT, type Plan } from '../plan/plan';
import { dayAfter, HOURS_ID, type Day, type HoursSpec } from '../make/sittings';

/** Ids of the sample data: a letter for the kind of record and a number, so that they are the same everywhere. */
function id(kind: string, number: number): string {
  return `${kind}0000000-0000-4000-8000-${String(number).padStart(12, '0')}`;
}

const OAT = id('a', 1);
const SLATE = id('a', 2);
const KELP = id('a', 3);

const oatYarn = {
  name: 'oat cotton',
  metresPer100g: 190,
  category: 4,
  fibre: 'cotton',
  colour: 'oat',
  ballGrams: 50,
  gramsLeft: 92,
};
const slateYarn = {
  name: 'slate wool',
  metresPer100g: 225,
  category: 3,
  fibre: 'wool',
  colour: 'slate',
  ballGrams: 50,
  gramsLeft: 140,
};

const oatGauge = {
  stitches: [
    { count: 20, overMm: 118, counted: 'edges' as const, by: 'ruler' as const },
    { count: 17, overMm: 100, counted: 'edges' as const, by: 'ruler' as const },
  ],
  rows: [{ count: 24, overMm: 120, counted: 'edges' as const, by: 'ruler' as const }],
  chains: [{ count: 20, overMm: 112, counted: 'edges' as const, by: 'ruler' as const }],
};

const slateGauge = {
  stitches: [{ count: 20, overMm: 104, counted: 'edges' as const, by: 'ruler' as const }],
  rows: [{ count: 22, overMm: 101, counted: 'edges' as const, by: 'ruler' as const }],
};

const fieldPhone: Plan = {
  format: PLAN_FORMAT,
  title: 'Field phone pouch',
  thing: {
    kind: 'slab',
    name: 'field phone in its bumper',
    width: { mm: 78, by: 'ruler' },
    height: { mm: 164, by: 'ruler' },
    depth: { mm: 14, by: 'calliper' },
    edgeRadius: { mm: 5, by: 'ruler' },
    charges: 'yes',
  },
  fabric: { stitch: 'single', hookMm: 4, yarn: oatYarn, gauge: oatGauge },
  shape: { kind: 'strip-across', join: 'single' },
  fit: { name: 'snug' },
  fittings: [
    { kind: 'flap', overlapMm: 61 },
    { kind: 'button-loop', buttonMm: 20 },
  ],
};

const notebook: Plan = {
  format: PLAN_FORMAT,
  title: 'Ringing notebook sleeve',
  thing: {
    kind: 'slab',
    name: 'ringing notebook',
    width: { mm: 148, by: 'published' },
    height: { mm: 210, by: 'published' },
    depth: { mm: 16, by: 'ruler' },
  },
  fabric: { stitch: 'single', hookMm: 4, yarn: slateYarn, gauge: slateGauge },
  shape: { kind: 'strip-across', join: 'slip' },
  fit: { name: 'slides' },
  fittings: [{ kind: 'flap' }, { kind: 'magnet' }, { kind: 'hanging-loop' }],
};

const tideTable: Plan = {
  format: PLAN_FORMAT,
  title: 'Tide table case',
  thing: {
    kind: 'slab',
    name: 'tide table booklet',
    width: { mm: 82.55, by: 'ruler', typed: '3 1/4 in' },
    height: { mm: 139.7, by: 'ruler', typed: '5 1/2 in' },
    depth: { mm: 8, by: 'calliper' },
    charges: 'no',
  },
  fabric: { stitch: 'single', hookMm: 4, yarn: oatYarn, gauge: oatGauge },
  shape: { kind: 'strip-across', join: 'whip' },
  fit: { name: 'slides' },
  fittings: [{ kind: 'flap' }],
};

const tissues: Plan = {
  format: PLAN_FORMAT,
  title: 'Tissue packet pouch',
  thing: {
    kind: 'slab',
    name: 'tissue packet',
    width: { mm: 54, by: 'eye' },
    height: { mm: 105, by: 'eye' },
    depth: { mm: 24, by: 'eye' },
    edgeRadius: { mm: 10, by: 'eye' },
  },
  fabric: { stitch: 'single', hookMm: 4.5, yarn: oatYarn },
  shape: { kind: 'strip-across', join: 'single' },
  fit: { name: 'roomy' },
  fittings: [{ kind: 'flap', overlapMm: 45 }, { kind: 'snap', acrossMm: 10 }, { kind: 'tag' }],
};

const glasses: Plan = {
  format: PLAN_FORMAT,
  title: 'Reading glasses pouch',
  thing: {
    kind: 'spectacles',
    name: 'folded reading glasses',
    width: { mm: 52, by: 'ruler' },
    height: { mm: 148, by: 'ruler' },
    depth: { mm: 34, by: 'ruler' },
    girth: { mm: 152, by: 'tape' },
  },
  fabric: { stitch: 'single', hookMm: 4, yarn: slateYarn, gauge: slateGauge },
  shape: { kind: 'strip-across', join: 'single' },
  fit: { name: 'snug' },
  fittings: [{ kind: 'flap' }, { kind: 'buttonhole', buttonMm: 15 }, { kind: 'belt-loop', beltMm: 35 }],
};

const kelpYarn = {
  name: 'kelp cotton cord',
  metresPer100g: 120,
  category: 5,
  fibre: 'cotton',
  colour: 'kelp',
  ballGrams: 100,
  gramsLeft: 260,
};

const kelpGauge = {
  stitches: [{ count: 16, overMm: 112, counted: 'edges' as const, by: 'ruler' as const }],
  rows: [{ count: 16, overMm: 98, counted: 'edges' as const, by: 'ruler' as const }],
  roundStitches: [{ count: 24, overMm: 166, counted: 'edges' as const, by: 'tape' as const }],
  rounds: [{ count: 12, overMm: 79, counted: 'edges' as const, by: 'tape' as const }],
  state: 'washed' as const,
};

const rangeCard: Plan = {
  format: PLAN_FORMAT,
  title: 'Range card sleeve',
  thing: {
    kind: 'slab',
    name: 'range card',
    width: { mm: 105, by: 'published' },
    height: { mm: 148, by: 'published' },
    depth: { mm: 3, by: 'calliper' },
  },
  fabric: { stitch: 'single-back-loop', hookMm: 4, yarn: slateYarn, gauge: { stitches: slateGauge.stitches } },
  shape: { kind: 'strip-along', join: 'mattress' },
  fit: { name: 'grips' },
  fittings: [{ kind: 'zip' }, { kind: 'clip-loop' }],
};

const loupe: Plan = {
  format: PLAN_FORMAT,
  title: 'Chart loupe sleeve',
  thing: {
    kind: 'spectacles',
    name: 'chart loupe',
    width: { mm: 48, by: 'ruler' },
    height: { mm: 96, by: 'ruler' },
    depth: { mm: 30, by: 'ruler' },
    girth: { mm: 128, by: 'tape' },
  },
  fabric: { stitch: 'single', hookMm: 4, yarn: slateYarn, gauge: slateGauge },
  shape: { kind: 'ring-tube' },
  fit: { name: 'grips' },
  fittings: [{ kind: 'lining' }],
};

const soap: Plan = {
  format: PLAN_FORMAT,
  title: 'Wash house soap bag',
  thing: {
    kind: 'slab',
    name: 'bar of soap',
    width: { mm: 62, by: 'ruler' },
    height: { mm: 88, by: 'ruler' },
    depth: { mm: 28, by: 'ruler' },
    edgeRadius: { mm: 12, by: 'ruler' },
  },
  fabric: { stitch: 'half-double', hookMm: 4.5, yarn: oatYarn },
  shape: { kind: 'round-chain', floor: 'flat' },
  fit: { name: 'roomy' },
  fittings: [{ kind: 'drawstring', cord: 'twisted' }, { kind: 'bobble' }],
};

const flask: Plan = {
  format: PLAN_FORMAT,
  title: 'Night watch flask sling',
  thing: {
    kind: 'cylinder',
    name: 'the night watch’s flask',
    height: { mm: 242, by: 'ruler' },
    diameter: { mm: 74, by: 'calliper' },
    shoulderHeight: { mm: 186, by: 'ruler' },
    neckDiameter: { mm: 48, by: 'calliper' },
    massG: 310,
    volumeMl: 750,
  },
  carrier: { kind: 'body', loop: { mm: 1120, by: 'tape' } },
  fabric: { stitch: 'single', hookMm: 5, yarn: kelpYarn, gauge: kelpGauge },
  shape: { kind: 'disc-wall', takeIn: 'shoulder' },
  fit: { name: 'snug' },
  fittings: [{ kind: 'strap', strap: 'rows', rows: 6 }],
};

const hookWrap: Plan = {
  format: PLAN_FORMAT,
  title: 'Storm-day hook wrap',
  thing: {
    kind: 'tools',
    name: 'hooks for storm days',
    tools: [
      {
        name: 'slim hooks',
        length: { mm: 138, by: 'ruler' },
        grip: { mm: 9, by: 'calliper' },
        tip: { mm: 3.5, by: 'calliper' },
        count: 3,
      },
      {
        name: 'stout hooks',
        length: { mm: 150, by: 'ruler' },
        grip: { mm: 13, by: 'calliper' },
        tip: { mm: 6, by: 'calliper' },
        count: 2,
      },
      {
        name: 'snips',
        length: { mm: 104, by: 'ruler' },
        grip: { mm: 38, by: 'ruler' },
        thickness: { mm: 8, by: 'ruler' },
        tip: { mm: 4, by: 'ruler' },
      },
    ],
  },
  fabric: { stitch: 'linked-single', hookMm: 3.5, yarn: slateYarn },
  shape: { kind: 'two-panels', edging: 1, folds: 'thirds' },
  fit: { name: 'slides' },
  fittings: [{ kind: 'dividers' }, { kind: 'ties', folded: 'thirds' }, { kind: 'edging', edging: 'reverse' }],
};

const seedPurse: Plan = {
  format: PLAN_FORMAT,
  title: 'Seed packet purse',
  thing: {
    kind: 'slab',
    name: 'seed packets',
    width: { mm: 95, by: 'ruler' },
    height: { mm: 130, by: 'ruler' },
    depth: { mm: 18, by: 'ruler' },
    charges: 'no',
  },
  fabric: { stitch: 'cluster', hookMm: 4, yarn: oatYarn },
  shape: { kind: 'cluster-panels' },
  fit: { name: 'roomy' },
  fittings: [
    { kind: 'flap', overlapMm: 50 },
    { kind: 'button-loop', buttonMm: 18 },
  ],
};

const caddy: Plan = {
  format: PLAN_FORMAT,
  title: 'Hide-rail caddy',
  thing: {
    kind: 'set',
    name: 'what the hide needs',
    members: [
      { kind: 'slab', name: 'hide notebook', width: { mm: 105 }, height: { mm: 148 }, depth: { mm: 12 }, massG: 160 },
      {
        kind: 'tools',
        name: 'pens',
        tools: [{ name: 'pen', length: { mm: 145 }, grip: { mm: 11, by: 'calliper' }, count: 2 }],
      },
      {
        kind: 'slab',
        name: 'field phone',
        width: { mm: 78 },
        height: { mm: 164 },
        depth: { mm: 14, by: 'calliper' },
        massG: 240,
      },
    ],
  },
  carrier: {
    kind: 'bar',
    name: 'hide rail',
    diameter: { mm: 48, by: 'calliper' },
    dropFront: { mm: 105, by: 'tape' },
    dropBack: { mm: 105, by: 'tape' },
  },
  fabric: { stitch: 'single', hookMm: 5, yarn: kelpYarn, gauge: kelpGauge },
  shape: { kind: 'saddle', behind: 1, pocketMm: 110 },
  fit: { name: 'slides' },
  fittings: [{ kind: 'stacked-pockets', count: 1, heightMm: 60 }],
};

const tissuePacket: Plan = {
  format: PLAN_FORMAT,
  title: 'Hide tissue packet',
  thing: tissues.thing,
  fabric: { stitch: 'spike', hookMm: 4, yarn: oatYarn, gauge: oatGauge },
  shape: { kind: 'packet', overlapMm: 0 },
  fit: { name: 'slides' },
};

const pliers: Plan = {
  format: PLAN_FORMAT,
  title: 'Ringer’s pliers belt pouch',
  thing: {
    kind: 'slab',
    name: 'ringer’s pliers',
    width: { mm: 52, by: 'ruler' },
    height: { mm: 158, by: 'ruler' },
    depth: { mm: 16, by: 'calliper' },
    edgeRadius: { mm: 4, by: 'ruler' },
  },
  fabric: { stitch: 'wrapped-half-double', hookMm: 3.5, yarn: slateYarn },
  shape: { kind: 'layered', inner: 2, beltMm: 38 },
  fit: { name: 'slides' },
  fittings: [{ kind: 'flap' }],
};

const giftPouch: Plan = {
  format: PLAN_FORMAT,
  title: 'Season’s end gift pouch',
  thing: { kind: 'loose', name: 'small gifts', width: { mm: 90, by: 'ruler' }, height: { mm: 120, by: 'ruler' } },
  fabric: { stitch: 'double-v', hookMm: 4, yarn: oatYarn },
  shape: { kind: 'disc-wall' },
  fit: { name: 'roomy' },
  fittings: [{ kind: 'tassel', lengthMm: 45, wraps: 20 }],
};

const tote: Plan = {
  format: PLAN_FORMAT,
  title: 'Beach clean tote',
  thing: {
    kind: 'loose',
    name: 'what the tide leaves',
    width: { mm: 280, by: 'tape' },
    height: { mm: 300, by: 'tape' },
    massG: 1500,
  },
  fabric: {
    stitch: 'single',
    hookMm: 5,
    yarn: kelpYarn,
    gauge: kelpGauge,
    colours: [
      { name: 'kelp', rows: 12 },
      { name: 'sand', rows: 4 },
    ],
  },
  shape: { kind: 'round-chain', floor: 'none' },
  fit: { name: 'roomy' },
  fittings: [{ kind: 'handles' }],
  palette: { kelp: { hex: '#56663A' }, sand: { hex: '#E4D2A2' } },
};

/** A sleeve in a yarn whose colours stack in columns: three runs and a long one, 34 stitches in all. */
const tideSleeve: Plan = {
  format: PLAN_FORMAT,
  title: 'Tide line flask sleeve',
  thing: {
    kind: 'cylinder',
    name: 'flask of the early watch',
    height: { mm: 170, by: 'ruler' },
    diameter: { mm: 56, by: 'calliper' },
  },
  fabric: {
    stitch: 'single',
    hookMm: 4,
    yarn: {
      name: 'tide line cotton',
      metresPer100g: 190,
      category: 4,
      fibre: 'cotton',
      colour: 'tide line',
      ballGrams: 50,
      runs: [
        { name: 'deep sea', hex: '#1F4E5F', stitches: 12 },
        { name: 'kelp', hex: '#56663A', stitches: 14 },
        { name: 'foam', hex: '#F4F1EA', stitches: 3 },
        { name: 'sand', hex: '#E9D8A6', stitches: 5 },
      ],
    },
    gauge: oatGauge,
  },
  shape: { kind: 'ring-tube' },
  fit: { name: 'slides' },
};

const ringBag: Plan = {
  format: PLAN_FORMAT,
  title: 'Ring tin bag',
  thing: {
    kind: 'cylinder',
    name: 'tin of leg rings',
    height: { mm: 90, by: 'ruler' },
    diameter: { mm: 102, by: 'calliper' },
  },
  fabric: { stitch: 'half-double', hookMm: 4, yarn: oatYarn },
  shape: { kind: 'disc-wall' },
  fit: { name: 'slides' },
  fittings: [{ kind: 'tongue-handle', foot: 8, run: 5 }],
};

const railPocket: Plan = {
  format: PLAN_FORMAT,
  title: 'Bunk rail pocket',
  thing: {
    kind: 'slab',
    name: 'log book',
    width: { mm: 120, by: 'ruler' },
    height: { mm: 170, by: 'ruler' },
    depth: { mm: 14, by: 'ruler' },
  },
  carrier: {
    kind: 'bar',
    name: 'bunk rail',
    diameter: { mm: 32, by: 'calliper' },
    dropFront: { mm: 20 },
    dropBack: { mm: 20 },
  },
  fabric: { stitch: 'single', hookMm: 4, yarn: slateYarn, gauge: slateGauge },
  shape: { kind: 'strip-across', pocketMm: 120 },
  fit: { name: 'slides' },
  fittings: [{ kind: 'tabs', buttonMm: 16 }],
};

type Kept = { [K in DocumentKind]: Record<string, Documents[K]> };

const PLAN_IDS = {
  fieldPhone: id('b', 1),
  notebook: id('b', 2),
  tideTable: id('b', 3),
  tissues: id('b', 4),
  glasses: id('b', 5),
  rangeCard: id('b', 6),
  loupe: id('b', 7),
  soap: id('b', 8),
  flask: id('b', 9),
  hookWrap: id('b', 10),
  seedPurse: id('b', 11),
  caddy: id('b', 12),
  tissuePacket: id('b', 13),
  pliers: id('b', 14),
  giftPouch: id('b', 15),
  tote: id('b', 16),
  ringBag: id('b', 17),
  railPocket: id('b', 18),
  tideSleeve: id('b', 19),
};
/** Makes of the sample data, by what they are of. */
export const MAKE_IDS = {
  fieldPhone: id('c', 1),
  tideTable: id('c', 2),
  railPocket: id('c', 3),
  glasses: id('c', 4),
  soap: id('c', 5),
  loupe: id('c', 6),
};

function makeOf(plan: Plan, planId: string, startedAt: string): Make {
  return { format: MAKE_FORMAT, title: plan.title, planId, plan, startedAt };
}

/** The season’s-end pouches, in three sizes and four colours. */
export const BATCH_ID = id('9', 1);

const POUCHES = [
  { size: 'small', width: 70, height: 90 },
  { size: 'middle', width: 90, height: 120 },
  { size: 'large', width: 110, height: 150 },
] as const;

const giftCottons = [
  { colour: 'oat', hex: '#E6D8B8' },
  { colour: 'kelp', hex: '#56663A' },
  { colour: 'rose', hex: '#C9798B' },
  { colour: 'slate', hex: '#4A5A68' },
] as const;

const seasonsEnd: BatchRecord = {
  name: 'Season’s end',
  plan: giftPouch,
  variants: giftCottons.flatMap(({ colour, hex }) =>
    POUCHES.map(({ size, width, height }) => ({
      id: `${size}-${colour}`,
      name: `${size}, ${colour}`,
      count: 1,
      thing: {
        kind: 'loose',
        name: `${size} gifts`,
        width: { mm: width, by: 'ruler' as const },
        height: { mm: height, by: 'ruler' as const },
      },
      yarn: { name: 'gift cotton', metresPer100g: 190, category: 4, fibre: 'cotton', colour, hex, ballGrams: 50 },
    })),
  ),
};

/** The evenings of the hide from a day on: a warden’s round on the third of them, the rail pocket and the pouches wanted. */
export function ternPointHours(from: Day): HoursSpec {
  return {
    week: [1, 1, 0.5, 1, 0, 2, 2],
    days: [{ day: dayAfter(from, 2), hours: 0, note: 'round of the warden' }],
    startsAt: '19:30',
    wanted: { [MAKE_IDS.railPocket]: dayAfter(from, 3), [BATCH_ID]: dayAfter(from, 40) },
  };
}

/** Tern Point bird observatory's bench: documents by kind and id. */
export const TERN_POINT: Kept = {
  plans: {
    [PLAN_IDS.fieldPhone]: fieldPhone,
    [PLAN_IDS.notebook]: notebook,
    [PLAN_IDS.tideTable]: tideTable,
    [PLAN_IDS.tissues]: tissues,
    [PLAN_IDS.glasses]: glasses,
    [PLAN_IDS.rangeCard]: rangeCard,
    [PLAN_IDS.loupe]: loupe,
    [PLAN_IDS.soap]: soap,
    [PLAN_IDS.flask]: flask,
    [PLAN_IDS.hookWrap]: hookWrap,
    [PLAN_IDS.seedPurse]: seedPurse,
    [PLAN_IDS.caddy]: caddy,
    [PLAN_IDS.tissuePacket]: tissuePacket,
    [PLAN_IDS.pliers]: pliers,
    [PLAN_IDS.giftPouch]: giftPouch,
    [PLAN_IDS.tote]: tote,
    [PLAN_IDS.ringBag]: ringBag,
    [PLAN_IDS.railPocket]: railPocket,
    [PLAN_IDS.tideSleeve]: tideSleeve,
  },
  things: {
    [id('e', 1)]: { name: 'field phone in its bumper', thing: fieldPhone.thing },
    [id('e', 2)]: { name: 'ringing notebook', thing: notebook.thing },
    [id('e', 3)]: { name: 'tide table booklet', thing: tideTable.thing },
    [id('e', 4)]: { name: 'tissue packet', thing: tissues.thing },
    [id('e', 5)]: { name: 'folded reading glasses', thing: glasses.thing },
    [id('e', 6)]: { name: 'range card', thing: rangeCard.thing },
    [id('e', 7)]: { name: 'chart loupe', thing: loupe.thing },
    [id('e', 8)]: { name: 'the night watch’s flask', thing: flask.thing },
    [id('e', 9)]: { name: 'hooks for storm days', thing: hookWrap.thing },
    [id('e', 10)]: { name: 'ringer’s pliers', thing: pliers.thing },
    [id('e', 11)]: { name: 'what the hide needs', thing: caddy.thing },
  },
  yarns: {
    [OAT]: { name: 'oat cotton', yarn: oatYarn, gramsLeft: 92 },
    [SLATE]: { name: 'slate wool', yarn: slateYarn, gramsLeft: 140 },
    [KELP]: { name: 'kelp cotton cord', yarn: kelpYarn, gramsLeft: 260 },
  },
  swatches: {
    [id('f', 1)]: { name: 'oat cotton on 4 mm', yarn: OAT, stitch: 'single', hookMm: 4, gauge: oatGauge },
    [id('f', 5)]: {
      name: 'oat cotton, tall, on 4 mm',
      yarn: OAT,
      stitch: 'double',
      hookMm: 4,
      gauge: {
        stitches: [{ count: 20, overMm: 123, counted: 'edges' as const }],
        rows: [{ count: 12, overMm: 127, counted: 'edges' as const }],
      },
    },
    [id('f', 2)]: { name: 'slate wool on 4 mm', yarn: SLATE, stitch: 'single', hookMm: 4, gauge: slateGauge },
    [id('f', 4)]: { name: 'kelp cotton cord on 5 mm', yarn: KELP, stitch: 'single', hookMm: 5, gauge: kelpGauge },
    [id('f', 3)]: {
      name: 'oat cotton on 4.5 mm',
      yarn: OAT,
      stitch: 'single',
      hookMm: 4.5,
      gauge: {
        stitches: [{ count: 16, overMm: 101, counted: 'edges' as const, by: 'tape' }],
        rows: [{ count: 18, overMm: 97, counted: 'edges' as const, by: 'tape' }],
      },
    },
  },
  hours: { [HOURS_ID]: ternPointHours('2026-12-01') },
  batches: { [BATCH_ID]: seasonsEnd },
  makes: {
    [MAKE_IDS.fieldPhone]: makeOf(fieldPhone, PLAN_IDS.fieldPhone, '2026-10-02T18:00:00.000Z'),
    [MAKE_IDS.tideTable]: makeOf(tideTable, PLAN_IDS.tideTable, '2026-09-12T19:00:00.000Z'),
    [MAKE_IDS.railPocket]: makeOf(railPocket, PLAN_IDS.railPocket, '2026-10-04T18:30:00.000Z'),
    [MAKE_IDS.glasses]: makeOf(glasses, PLAN_IDS.glasses, '2026-08-21T18:30:00.000Z'),
    [MAKE_IDS.soap]: makeOf(soap, PLAN_IDS.soap, '2026-08-02T19:10:00.000Z'),
    [MAKE_IDS.loupe]: makeOf(loupe, PLAN_IDS.loupe, '2026-07-11T20:00:00.000Z'),
  },
};
