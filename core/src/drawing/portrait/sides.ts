import type { Cloth, Part, View } from '../parts';

/** From where a finished piece is seen. */
export type SideId = 'front' | 'back' | 'side' | 'open';

export interface SideCloth extends Cloth {
  /** Which of its ends is an edge that is seen, and no fold. */
  rim?: 'top' | 'low';
  /** A border lies all round it, up to its corners. */
  bordered?: true;
}

export type SidePart = Exclude<Part, Cloth> | SideCloth;

export interface Side {
  id: SideId;
  name: string;
  /** What is seen, in its own mm; parts in the order they lie over each other. */
  parts: readonly SidePart[];
  /** All that is seen, mm. */
  box: { x: number; y: number; width: number; height: number };
  text: string;
}

type Loop = Extract<Part, { type: 'loop' }>;

const isCloth = (part: SidePart): part is SideCloth => part.type === 'cloth';
const isBehind = (part: SidePart): boolean => isCloth(part) && part.role === 'back';

const isOnBack = (part: SidePart): boolean => part.type === 'ribbon' && part.on === 'back';

/** How far out of it the thing is drawn where it is open, as a share of its height (ours). */
const OUT = 0.5;

/**
 * A finished piece from the front, from the back, and opened, from the views that are drawn of it.
 *
 * @returns the front alone where there is no more to see
 */
export function sidesOf(views: readonly View[]): Side[] {
  const folded = views.find(({ id }) => id === 'folded') ?? views[0];
  const flat = views.find(({ id }) => id === 'flat');
  if (!folded) return [];
  const seen = { ...folded, parts: folded.parts.map((part) => withRounds(part, flat)) };
  const hasFlap = seen.parts.some((part) => isCloth(part) && part.role === 'flap');
  const front = seenFrom('front', 'Front', closedParts(seen), folded.text, hasFlap);
  const opened = openedParts(seen, flat);
  return [
    front,
    seenFrom('back', 'Back', backParts(seen, flat), folded.text, hasFlap),
    ...edgeways(views),
    ...(opened ? [seenFrom('open', 'Open', opened, folded.text, hasFlap)] : []),
  ];
}

function seenFrom(id: SideId, name: string, parts: readonly SidePart[], text: string, hasFlap: boolean): Side {
  return { id, name, parts: rimmed(parts, id, hasFlap), box: boxOf(parts), text: `${name}. ${text}` };
}

/** The ends of a side: a flap ends below, laid up it ends above; a mouth is an edge unless the fabric is folded over it. */
function rimmed(parts: readonly SidePart[], id: SideId, hasFlap: boolean): SidePart[] {
  const borders = parts.filter((part) => part.type === 'border');
  const isBordered = ({ x, y, w, h }: Cloth) =>
    borders.some((one) => [one.x - x, one.y - y, one.w - w, one.h - h].every((off) => Math.abs(off) < 1));
  return parts.map((given): SidePart => {
    const part: SidePart = isCloth(given) && isBordered(given) ? { ...given, bordered: true } : given;
    if (!isCloth(part) || part.rim || part.rows.stacked !== 'y') return part;
    if (part.role === 'flap') return { ...part, rim: 'low' };
    return hasFlap && id !== 'open' ? part : { ...part, rim: 'top' };
  });
}

/** From its side: the fabric on its edge, as it lies round the thing. */
function edgeways(views: readonly View[]): Side[] {
  const cut = views.find(({ id }) => id === 'cut');
  if (!cut) return [];
  const things = cut.parts.filter(({ type }) => type === 'thing');
  const fabric = cut.parts.filter(({ type }) => type === 'cut');
  return [seenFrom('side', 'Side', [...things, ...fabric], cut.text, false)];
}

/** A rectangle of rounds that is drawn without them has those of the piece it shows. */
function withRounds(part: Part, flat: View | undefined): Part {
  if (!isCloth(part) || part.rows.stacked !== 'out' || part.rows.rounds) return part;
  const rounds = flat?.parts.filter(isCloth).filter(({ rows }) => rows.stacked === 'out' && rows.rounds);
  const shown = part.role === 'flap' ? 'back' : part.role;
  const own = rounds?.find(({ role }) => role === shown) ?? rounds?.[0];
  return own ? { ...part, rows: own.rows, ...hueOf(own) } : part;
}

/** Closed: of the thing only what peeps out above the front is seen, and nothing where a flap lies over it. */
function closedParts({ parts }: View): Part[] {
  const fronts = parts.filter(isCloth).filter((part) => !isBehind(part));
  const hasFlap = fronts.some(({ role }) => role === 'flap');
  const top = Math.min(...fronts.map(({ y }) => y));
  const low = Math.max(...fronts.map(({ y, h }) => y + h));
  return inOrder(
    parts.flatMap((part): Part[] => (part.type === 'thing' ? peeping(part, hasFlap ? Infinity : top, low) : [part])),
  );
}

/** As much of a thing as stands out, down to a little below the edge it stands out over. */
function peeping(part: Extract<Part, { type: 'thing' }>, top: number, low: number): Part[] {
  if (part.y >= top - PEEPS) return [];
  return [within(part, low)];
}

/** A thing that never reaches below what it stands in. */
function within(part: Extract<Part, { type: 'thing' }>, low: number): Part {
  const h = Math.min(part.h, low - 2 * PEEPS - part.y);
  return part.outline
    ? { ...part, outline: part.outline.map(([x, y]) => [x, Math.min(y, h)] as const) }
    : { ...part, h };
}

/** Less than this is not seen of a thing, mm (ours). */
const PEEPS = 1.5;

/** The back layer, then what stands in it, then the front and all that lies over it. */
function inOrder(parts: readonly SidePart[]): SidePart[] {
  const behind = parts.filter((part) => isBehind(part) || (part.type === 'ribbon' && part.on === 'behind'));
  const things = parts.filter(({ type }) => type === 'thing');
  const rest = parts.filter((part) => !behind.includes(part) && part.type !== 'thing' && !isOnBack(part));
  const fabric = rest.filter(({ type }) => type === 'cloth' || type === 'border');
  const marks = rest.filter(({ type }) => type !== 'cloth' && type !== 'border');
  return [...behind, ...things, ...fabric, ...marks];
}

/** The same outline with the back’s own rows; what is fastened in front is not seen. */
function backParts(folded: View, flat: View | undefined): Part[] {
  const cloths = folded.parts.filter(isCloth);
  const outer = cloths.find(({ role }) => role !== 'flap' && role !== 'turn');
  if (!outer) return [];
  const own = flat?.parts.filter(isCloth).find(({ role }) => role === 'back');
  const whole = cloths
    .filter(({ role }) => role !== 'flap')
    .reduce((box, { y, h }) => ({ y: Math.min(box.y, y), low: Math.max(box.low, y + h) }), {
      y: outer.y,
      low: outer.y + outer.h,
    });
  const back: Cloth = {
    ...outer,
    ...(own ? { role: 'back', rows: upright(own), ...hueOf(own) } : {}),
    y: whole.y,
    h: whole.low - whole.y,
  };
  const hangs = folded.parts.filter((part) => part.type === 'loop' && beyond(part, outer));
  const borders = folded.parts.filter(({ type }) => type === 'border');
  const ribbons = folded.parts.filter((part) => part.type === 'ribbon');
  const [over, under] = [
    ribbons.filter(({ on }) => on === 'back' || on === 'edge'),
    ribbons.filter(({ on }) => on === 'behind'),
  ];
  return [...under, back, ...borders, ...over, ...hangs];
}

const hueOf = ({ hex, colour }: Cloth): Partial<Cloth> => ({ ...(hex ? { hex } : {}), ...(colour ? { colour } : {}) });

/** Rows of a piece that was drawn lying, as it stands. */
function upright({ rows }: Cloth): Cloth['rows'] {
  return rows.stacked === 'x' ? { ...rows, stacked: 'y' } : rows;
}

/** Whether a loop stands out at the sides or on top, so that it is seen from behind as well. */
const beyond = ({ towards, x, y }: Loop, { x: left, y: top, w }: Cloth): boolean =>
  towards === 'up' ? y <= top + 1 : towards === 'left' ? x <= left + 1 : towards === 'right' && x >= left + w - 1;

/** The flap laid up and the thing half out; nothing where neither can be. */
function openedParts(folded: View, flat: View | undefined): SidePart[] | undefined {
  const cloths = folded.parts.filter(isCloth);
  const flap = cloths.find(({ role }) => role === 'flap');
  const things = folded.parts.filter((part) => part.type === 'thing');
  const top = Math.min(...cloths.map(({ y }) => y));
  const isTall = things.some(({ y, h }) => y + h > top + 0.3 * folded.height);
  if (!flap && !isTall) return undefined;
  const low = Math.max(...cloths.map(({ y, h }) => y + h));
  const lifted = things.map((part) => within({ ...part, y: part.y - OUT * Math.min(part.h, folded.height) }, low));
  const others = folded.parts.filter((part) => part !== flap && part.type !== 'thing');
  if (!flap) return inOrder([...others, ...lifted]);
  const up = flapUp(flap, flat);
  const hangs = (part: Part): boolean => (part.type === 'loop' && part.towards === 'down') || liesIn(part, flap);
  const turned = others.filter(hangs).map((part) => turnedUp(part, flap, up));
  return [up, ...turned, ...inOrder([...others.filter((part) => !hangs(part)), ...lifted])];
}

/** A slot or holes within the flap go up with it. */
function liesIn(part: Part, { y, h }: Cloth): boolean {
  if (part.type === 'line') return part.kind === 'slot' && Math.max(part.y1, part.y2) <= y + h;
  if (part.type === 'border') return Math.abs(part.y - y) < 1 && Math.abs(part.h - h) < 1;
  return part.type === 'dots' && part.points.every(([, down]) => down <= y + h);
}

/** The flap above the back, and the turn between them, as long as they are worked. */
function flapUp(flap: Cloth, flat: View | undefined): SideCloth {
  const lying = (role: Cloth['role']) => flat?.parts.filter(isCloth).find((part) => part.role === role);
  const long = (part: Cloth | undefined) => (part ? (part.rows.stacked === 'x' ? part.w : part.h) : 0);
  const [turn, own] = [lying('turn'), lying('flap')];
  const rows = { ...(own ? upright(own) : flap.rows), stitches: flap.rows.stitches };
  const { down: _down, ...laid } = turn ? onTop(upright(turn), rows) : rows;
  const h = long(turn) + (own ? long(own) : flap.h);
  return { ...flap, y: flap.y - h, h, rows: laid, rim: 'top' };
}

/** Rows that go on upon others. */
function onTop(lower: Cloth['rows'], upper: Cloth['rows']): Cloth['rows'] {
  const bands = lower.bands && upper.bands ? { bands: [...lower.bands, ...upper.bands] } : {};
  return { ...upper, ...(lower.first ? { first: lower.first } : {}), count: lower.count + upper.count, ...bands };
}

/** What was worked at the flap’s edge, or in it, where it lies once the flap is up. */
function turnedUp(part: Part, flap: Cloth, up: Cloth): Part {
  const to = (y: number) => up.y + (flap.y + flap.h - y);
  if (part.type === 'loop') return { ...part, y: to(part.y), towards: 'up' };
  if (part.type === 'border')
    return {
      ...part,
      y: up.y,
      h: up.h,
      rounds: part.rounds.map(({ sides: [top, right, low, left], ...round }) => ({
        ...round,
        sides: [low, right, top, left] as const,
      })),
    };
  if (part.type === 'line') return { ...part, y1: to(part.y1), y2: to(part.y2) };
  if (part.type === 'dots') return { ...part, points: part.points.map(([x, y]) => [x, to(y)] as const) };
  return part;
}

/** All that parts cover, mm. */
function boxOf(parts: readonly SidePart[]): Side['box'] {
  const corners = parts.flatMap(cornersOf);
  const [xs, ys] = [corners.map(([x]) => x), corners.map(([, y]) => y)];
  const [x, y] = [Math.min(0, ...xs), Math.min(...ys)];
  return { x, y, width: Math.max(...xs) - x, height: Math.max(...ys) - y };
}

/** What a curve covers at most: of its hands only three quarters are ever reached. */
function wayBox(way: readonly (readonly [number, number])[], half: number): (readonly [number, number])[] {
  const reached = way.map(([x, y], index) => {
    if (index % 3 === 0) return [x, y] as const;
    const end = way[index % 3 === 1 ? index - 1 : index + 1]!;
    return [end[0] + 0.75 * (x - end[0]), end[1] + 0.75 * (y - end[1])] as const;
  });
  return reached.flatMap(([x, y]) => [
    [x - half, y - half],
    [x + half, y + half],
  ]);
}

function cornersOf(part: SidePart): (readonly [number, number])[] {
  switch (part.type) {
    case 'cloth':
    case 'thing':
      return [
        [part.x, part.y],
        [part.x + part.w, part.y + part.h],
      ];
    case 'border': {
      const deep = (side: number) => (part.rounds[0]!.sides[side]! > 0 ? part.depth * part.rounds.length : 0);
      return [
        [part.x - deep(3), part.y - deep(0)],
        [part.x + part.w + deep(1), part.y + part.h + deep(2)],
      ];
    }
    case 'loop': {
      const [half, far] = [0.35 * part.reach, 1.06 * part.reach];
      if (part.towards === 'down' || part.towards === 'up') {
        const end = part.y + (part.towards === 'up' ? -far : far);
        return [
          [part.x - half, part.y],
          [part.x + half, end],
        ];
      }
      const end = part.x + (part.towards === 'left' ? -far : far);
      return [
        [part.x, part.y - half],
        [end, part.y + half],
      ];
    }
    case 'ribbon':
      return wayBox(part.way, part.wide / 2);
    case 'button':
      return [
        [part.x - part.diameter / 2, part.y - part.diameter / 2],
        [part.x + part.diameter / 2, part.y + part.diameter / 2],
      ];
    case 'cut':
      return part.points.flatMap(([x, y]) => [
        [x - part.thickness / 2, y - part.thickness / 2] as const,
        [x + part.thickness / 2, y + part.thickness / 2] as const,
      ]);
    case 'line':
      return part.kind === 'cord'
        ? [
            [part.x1, part.y1],
            [part.x2, part.y2],
          ]
        : [];
    default:
      return [];
  }
}
