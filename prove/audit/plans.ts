import { dice } from '../otherCamera';

/** A plan as it is written, of what the audit derives for itself. */
export interface AuditPlan {
  format: 'keep-snug.plan/1';
  title: string;
  thing: { kind: string } & Record<string, unknown>;
  fabric: {
    stitch: StitchId;
    hookMm: number;
    yarn: { metresPer100g: number };
    gauge: { stitches?: Measure[]; rows?: Measure[] };
    pattern?: { rows: StitchId[] };
    bands?: { stitch: StitchId; courses?: number; fill?: true; hookMm?: number }[];
  };
  shape: { kind: string } & Record<string, unknown>;
  fit: { name: string };
  fittings: ({ kind: string } & Record<string, unknown>)[];
  schools: { rounds: 'joined' | 'spiral'; foundation: 'chain' | 'stitches' };
}

export type StitchId = 'single' | 'half-double' | 'double' | 'stripes';
interface Measure {
  count: number;
  overMm: number;
  counted: 'edges';
}

const JOINS = ['single', 'slip', 'reverse', 'whip', 'mattress'] as const;
const PLAIN = ['single', 'half-double', 'double'] as const;

const SHAPES: Readonly<Record<string, (one: Draw) => Record<string, unknown>>> = {
  'strip-across': ({ pick, whole }) => ({ join: pick(JOINS), edging: whole(0, 2) }),
  'strip-along': ({ pick }) => ({ join: pick(JOINS) }),
  'two-panels': ({ pick, whole }) => ({ join: pick(JOINS), edging: whole(1, 2), edgingOf: pick(['single', 'slip']) }),
  layered: ({ pick }) => ({ join: pick(JOINS), inner: 1 }),
  packet: ({ pick, whole }) => ({ join: pick(JOINS), edging: whole(0, 2), overlapMm: whole(0, 20) }),
  'ring-tube': ({ pick }) => ({ join: pick(JOINS), begins: 'bottom' }),
  'round-chain': () => ({ floor: 'none' }),
  'disc-wall': ({ pick }) => ({ base: pick(PLAIN) }),
};

export const AUDITED = Object.keys(SHAPES);

interface Draw {
  between: (from: number, to: number) => number;
  whole: (from: number, to: number) => number;
  pick: <T>(list: readonly T[]) => T;
}

function drawing(seed: number): Draw {
  const u = dice(seed);
  const between = (from: number, to: number) => from + (to - from) * u();
  const whole = (from: number, to: number) => Math.floor(between(from, to + 1));
  return { between, whole, pick: (list) => list[whole(0, list.length - 1)]! };
}

const mm = (value: number) => ({ mm: Math.round(10 * value) / 10 });

/** A thing that such a shape can hold. */
function thingFor(shape: string, { between, pick }: Draw): AuditPlan['thing'] {
  const cylinder = { kind: 'cylinder', height: mm(between(80, 260)), diameter: mm(between(45, 95)) };
  if (shape === 'disc-wall') return cylinder;
  const [w, h, d] = [between(55, 160), between(80, 220), between(6, 28)];
  const slab = {
    kind: 'slab',
    width: mm(w),
    height: mm(h),
    depth: mm(d),
    edgeRadius: mm(between(0, 0.5) * d),
    ...(pick([true, false]) ? { soft: pick([0.2, 0.4]) } : {}),
  };
  if (shape === 'packet') return slab;
  const spectacles = { kind: 'spectacles', width: mm(w), height: mm(h), depth: mm(d) };
  return pick([slab, slab, spectacles]);
}

/** A mouth edged, a flap, or neither. */
function fittingsFor(shape: string, { pick, whole }: Draw): AuditPlan['fittings'] {
  const flap = ['strip-across', 'strip-along', 'layered'].includes(shape) && pick([true, false]);
  const edged = ['ring-tube', 'round-chain', 'disc-wall', 'strip-across'].includes(shape) && pick([true, true, false]);
  return [
    ...(flap ? [{ kind: 'flap' }] : []),
    ...(edged && !flap ? [{ kind: 'edging', edging: pick(['slip', 'single', 'reverse']), rounds: whole(1, 2) }] : []),
  ];
}

function fabricFor(shape: string, { between, whole, pick }: Draw): AuditPlan['fabric'] {
  const metres = between(80, 420);
  const thick = 3.4 * (120 / metres) ** 0.75;
  const hookMm = Math.max(1.5, Math.round(2 * between(1.3, 2) * thick) / 2);
  const single = 0.8 * hookMm + 1.3 * thick;
  const stitch = pick([...PLAIN, 'stripes'] as const);
  const measure = (each: number): Measure[] => {
    const count = whole(12, 30);
    return [{ count, overMm: Math.round(count * each * between(0.85, 1.15)), counted: 'edges' }];
  };
  const swatched = pick([true, true, false]);
  const bands = stitch !== 'stripes' && !['strip-along', 'packet', 'layered'].includes(shape) && pick([true, false]);
  return {
    stitch,
    hookMm,
    yarn: { metresPer100g: metres },
    gauge: swatched ? { stitches: measure(single), rows: measure(single) } : {},
    ...(stitch === 'stripes' ? { pattern: { rows: Array.from({ length: whole(2, 4) }, () => pick(PLAIN)) } } : {}),
    ...(bands
      ? {
          bands: [
            { stitch: pick(PLAIN), courses: whole(1, 4) },
            { stitch: pick(PLAIN), fill: true as const },
            { stitch: pick(PLAIN), courses: whole(1, 3) },
          ],
        }
      : {}),
  };
}

export function planFor(shape: string, seed: number): AuditPlan {
  const draw = drawing(seed);
  return {
    format: 'keep-snug.plan/1',
    title: 'audited',
    thing: thingFor(shape, draw),
    fabric: fabricFor(shape, draw),
    shape: { kind: shape, ...SHAPES[shape]!(draw) },
    fit: { name: draw.pick(['grips', 'snug', 'slides', 'roomy']) },
    fittings: fittingsFor(shape, draw),
    schools: { rounds: draw.pick(['joined', 'spiral']), foundation: 'chain' },
  };
}
