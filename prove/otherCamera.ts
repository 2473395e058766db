/**
 * Pictures by a camera of another make than that of the tests: a lens by the division law whose middle is not the picture's, a
 * sensor whose noise grows with the light, a soft focus, eight bits. Nothing of it is shared with what reads the pictures.
 */

export type Place = readonly [x: number, y: number];

/** What lies where: a card whose corner is the origin, and a box that is turned. */
export interface Still {
  kind: 'beside' | 'over' | 'high';
  /** Height of the camera over the table, how far it leans and to which side, radians; how it is turned, radians. */
  camera: { up: number; lean: number; to: number; turn: number; focal: number; bow: number; off: Place };
  box: { at: Place; angle: number; long: number; wide: number; high: number; tone: number };
  light: number;
  seed: number;
}

const CARD_LONG = 85.6;
const CARD_SHORT = 53.98;
export const WIDE = 840;
export const TALL = 630;

/** A generator of its own (mulberry32). */
export function dice(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = state;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

/** The sum of uniform throws: near enough to normal for a sensor and a hand. */
const about = (throwOne: () => number): number =>
  Math.sqrt(3) * (throwOne() + throwOne() + throwOne() + throwOne() - 2);

export function still(seed: number, kind: Still['kind']): Still {
  const u = dice(seed * 7 + 3);
  const from = (a: number, b: number) => a + (b - a) * u();
  const high = kind === 'high' ? from(6, 18) : from(0, 6);
  const long = from(70, 170);
  const wide = from(30, 75);
  const covers = from(6, 28);
  const at: Place = kind === 'over' ? [CARD_LONG - covers, from(-12, 4)] : [from(-30, 10), from(64, 80)];
  return {
    kind,
    camera: {
      up: from(340, 470),
      lean: kind === 'high' ? from(0.3, 0.6) : from(0, 0.55),
      to: from(0, 2 * Math.PI),
      turn: from(-0.2, 0.2),
      focal: from(0.56, 0.69),
      bow: from(-0.018, 0.018),
      off: [from(-0.012, 0.012) * WIDE, from(-0.012, 0.012) * TALL],
    },
    box: { at, angle: kind === 'over' ? 0 : from(-0.08, 0.08), long, wide, high, tone: from(25, 85) },
    light: from(0.75, 1),
    seed,
  };
}

type Ray = { from: [number, number, number]; to: [number, number, number] };

/** The camera as a turn of the table’s axes: right, down, and into the picture. */
function axes({ camera: { lean, to, turn, up } }: Still) {
  const look: [number, number, number] = [
    -Math.sin(lean) * Math.cos(to),
    -Math.sin(lean) * Math.sin(to),
    -Math.cos(lean),
  ];
  const flat: [number, number, number] = [Math.cos(turn), Math.sin(turn), 0];
  const along = flat[0] * look[0] + flat[1] * look[1];
  let right: [number, number, number] = [flat[0] - along * look[0], flat[1] - along * look[1], -along * look[2]];
  const size = Math.hypot(...right);
  right = [right[0] / size, right[1] / size, right[2] / size];
  const down: [number, number, number] = [
    look[1] * right[2] - look[2] * right[1],
    look[2] * right[0] - look[0] * right[2],
    look[0] * right[1] - look[1] * right[0],
  ];
  const middle: Place = [45, 65];
  const far = up / Math.cos(lean);
  const eye: [number, number, number] = [middle[0] - far * look[0], middle[1] - far * look[1], -far * look[2]];
  return { look, right, down, eye };
}

/** Through the lens by the division law: where a place of the picture points, as tangents. */
function pointing({ camera: { focal, bow, off } }: Still, x: number, y: number): Place {
  const px = focal * Math.hypot(WIDE, TALL);
  const [dx, dy] = [(x - WIDE / 2 - off[0]) / px, (y - TALL / 2 - off[1]) / px];
  const corner = 1 / (4 * focal * focal);
  const by = 1 / (1 + (bow * (dx * dx + dy * dy)) / corner);
  return [dx * by, dy * by];
}

function ray(scene: Still, frame: ReturnType<typeof axes>, x: number, y: number): Ray {
  const [tx, ty] = pointing(scene, x, y);
  const { look, right, down, eye } = frame;
  return {
    from: eye,
    to: [0, 1, 2].map((i) => look[i]! + tx * right[i]! + ty * down[i]!) as [number, number, number],
  };
}

/** Where a place in the room falls in the picture: looked for by steps. */
export function falls(scene: Still, [x, y, z]: readonly [number, number, number]): Place {
  const { look, right, down, eye } = axes(scene);
  const d = [x - eye[0], y - eye[1], z - eye[2]] as const;
  const deep = d[0] * look[0] + d[1] * look[1] + d[2] * look[2];
  const [tx, ty] = [right, down].map((axis) => (d[0] * axis[0] + d[1] * axis[1] + d[2] * axis[2]) / deep) as [
    number,
    number,
  ];
  const px = scene.camera.focal * Math.hypot(WIDE, TALL);
  let [u, v] = [WIDE / 2 + scene.camera.off[0] + tx * px, TALL / 2 + scene.camera.off[1] + ty * px];
  for (let step = 0; step < 12; step += 1) {
    const [sx, sy] = pointing(scene, u, v);
    [u, v] = [u + (tx - sx) * px, v + (ty - sy) * px];
  }
  return [u, v];
}

const inBox = ({ box: { at, angle, long, wide } }: Still, x: number, y: number): Place => {
  // a small angle: its sine and cosine to the third power are enough
  const [c, s] = [1 - (angle * angle) / 2, angle - angle ** 3 / 6];
  const [dx, dy] = [x - at[0], y - at[1]];
  return [(dx * c + dy * s) / long, (dy * c - dx * s) / wide];
};

const isIn = ([u, v]: Place): boolean => u >= 0 && u <= 1 && v >= 0 && v <= 1;

const isNear = ([u, v]: Place): boolean => u > -0.6 && u < 1.6 && v > -0.6 && v < 1.6;

/** Hills and dales of brightness, the same wherever they are asked for. */
function grain(x: number, y: number): number {
  const cell = (column: number, row: number) => {
    const mixed = Math.imul(column * 73856093 + row * 19349663, 0x9e3779b1);
    return ((mixed ^ (mixed >>> 15)) & 0xffff) / 0x10000;
  };
  const [i, j] = [Math.floor(x / 7), Math.floor(y / 3)];
  const [fx, fy] = [x / 7 - i, y / 3 - j];
  const mix = (a: number, b: number, t: number) => a + (b - a) * t * t * (3 - 2 * t);
  return mix(mix(cell(i, j), cell(i + 1, j), fx), mix(cell(i, j + 1), cell(i + 1, j + 1), fx), fy) - 0.5;
}

function toneAt(scene: Still, { from, to }: Ray): number {
  const { box, light } = scene;
  const meets = (z: number): Place => {
    const t = (z - from[2]) / to[2];
    return [from[0] + t * to[0], from[1] + t * to[1]];
  };
  if (isIn(inBox(scene, ...meets(box.high)))) return box.tone;
  const [x, y] = meets(0);
  // its sides are seen only where the table behind it is near
  const near = isNear(inBox(scene, x, y));
  for (let part = 1; near && part < 8; part += 1)
    if (isIn(inBox(scene, ...meets(box.high * (1 - part / 8))))) return box.tone * 0.62;
  const [u, v] = inBox(scene, x - 5, y + 4);
  const shade = isIn([u, v]) ? 0.8 : 1;
  if (x >= 0 && x <= CARD_LONG && y >= 0 && y <= CARD_SHORT && !isCutOff(x, y)) {
    const band = y > CARD_SHORT - 16 && y < CARD_SHORT - 7;
    return (band ? 96 : 226) * light * shade;
  }
  return (138 + 22 * grain(x, y)) * light * shade;
}

/** The card’s corners are round. */
function isCutOff(x: number, y: number): boolean {
  const r = 3.18;
  const [cx, cy] = [Math.min(Math.max(x, r), CARD_LONG - r), Math.min(Math.max(y, r), CARD_SHORT - r)];
  return Math.hypot(x - cx, y - cy) > r;
}

/** Where the light of one pixel comes from: a soft spot of three rays. */
const SPOT: readonly Place[] = [
  [0.1, 0.3],
  [0.95, 0.35],
  [0.45, 0.95],
];

export function taken(scene: Still): { width: number; height: number; data: Float32Array } {
  const frame = axes(scene);
  const u = dice(scene.seed * 31 + 17);
  const data = new Float32Array(WIDE * TALL);
  for (let y = 0; y < TALL; y += 1)
    for (let x = 0; x < WIDE; x += 1) {
      let sum = 0;
      for (const [sx, sy] of SPOT) sum += toneAt(scene, ray(scene, frame, x + sx, y + sy));
      const dark = 1 - 0.25 * (((x - WIDE / 2) / WIDE) ** 2 + ((y - TALL / 2) / TALL) ** 2);
      const seen = (sum / SPOT.length) * dark;
      data[y * WIDE + x] = Math.round(Math.max(0, Math.min(255, seen + Math.sqrt(0.12 * seen + 2) * about(u))));
    }
  return { width: WIDE, height: TALL, data };
}

/** The card’s corners as a hand points at them: where the box lies over it, at what is to be seen of it. */
export function pointedAt(scene: Still, off: () => number): Place[] {
  const end = scene.kind === 'over' ? Math.min(CARD_LONG, scene.box.at[0]) : CARD_LONG;
  const corners: Place[] = [
    [0, 0],
    [end, 0],
    [end, CARD_SHORT],
    [0, CARD_SHORT],
  ];
  return corners.map(([x, y]) => {
    const [u, v] = falls(scene, [x, y, 0]);
    return [u + off(), v + off()];
  });
}

/** The middles of the box’s short sides, at its upper face. */
export function ends(scene: Still, off: () => number): [Place, Place] {
  const { at, angle, long, wide, high } = scene.box;
  const [c, s] = [Math.cos(angle), Math.sin(angle)];
  const place = (u: number): Place => {
    const [dx, dy] = [u * long, wide / 2];
    const [x, y] = falls(scene, [at[0] + dx * c - dy * s, at[1] + dx * s + dy * c, high]);
    return [x + off(), y + off()];
  };
  return [place(0), place(1)];
}

/** A hand that misses by so many px. */
export function hand(seed: number, px: number): () => number {
  const u = dice(seed * 101 + 7);
  return () => px * about(u);
}
