import { rhythmOf } from '../craft/counts';
import { inOne, mirroredRhythm, repeat, work, type Instruction, type Rhythm } from '../craft/fabric';
import { placesIn, type Edge, type Span } from './edge';
import { reversed, type Border, type BorderStitch, type Stretch } from './work';

interface Kind {
  /** What it is made of. */
  stitch: string;
  /** Stitches into an outer corner (handbook 4.2). */
  corner: 1 | 2 | 3;
}

const KINDS: Readonly<Record<BorderStitch, Kind>> = {
  slip: { stitch: 'slip', corner: 1 },
  single: { stitch: 'single', corner: 3 },
  reverse: { stitch: 'reverse', corner: 2 },
  loops: { stitch: 'single', corner: 1 },
};

/** What a course of a border is worked in: only the last one in the border's own stitch, those before it are plain. */
const kindOf = ({ stitch, courses }: Border, course: number): BorderStitch => (course === courses ? stitch : 'single');

/** What of a border's course is worked along one part of its way; of loops along all of it. */
export interface BorderPart {
  stretch: Stretch | undefined;
  instructions: Instruction[];
}

/**
 * Every course of a border as instructions, over the places its way offers, part by part: worded, refereed, tallied and
 * drawn by what does that for rows. Each begins with a chain, but for slip stitches, and a closed one ends in a join.
 *
 * @param edgeOf the edge a span lies on
 */
export function borderCourses(border: Border, edgeOf: (span: Span) => Edge): BorderPart[][] {
  return pathsOf(border).map((path, index) => {
    const course = index + 1;
    const kind = kindOf(border, course);
    const into = ({ spans: [span] }: Stretch) => (course === 1 ? edgeOf(span).kind : 'stitch');
    const way = fromTheJoin(path, border, course);
    const body =
      kind === 'loops'
        ? [part(loopsOver(path.reduce((sum, stretch) => sum + stitchesOf(stretch, kind), 0)))]
        : (goesBack(border, course) ? reversed(way) : way).map((stretch) =>
            part(
              course === 1 && stretch.upon
                ? [...stretch.upon]
                : along(stretch, kind, into(stretch), course === border.courses),
              stretch,
            ),
          );
    const chain: Instruction[] = kind === 'slip' ? [] : [{ do: 'turning-chain', chains: 1, counts: false }];
    const join: Instruction[] = border.closed ? [{ do: 'join' }] : [];
    return [part(chain), ...body, part(join)].filter(({ instructions }) => instructions.length > 0);
  });
}

/**
 * Whether a course goes the other way than the first: rows do every second time, and a last one worked backwards goes back
 * over plain ones (law, handbook 4.4).
 */
function goesBack({ closed, turned, stitch, courses }: Border, course: number): boolean {
  if (!closed || turned) return course % 2 === 0;
  return stitch === 'reverse' && course > 1 && course === courses;
}

/** How often a border is turned on its way: rows, and rounds that are turned, before each but the first, and not before what is worked backwards. */
export const turnsIn = ({ closed, turned, stitch, courses }: Border): number =>
  closed && !turned ? 0 : courses - (stitch === 'reverse' && courses > 1 ? 2 : 1);

/**
 * The way as it begins at the join: a round that began in a corner was joined before that corner's middle, so that what
 * lies before it is worked first, and left out at the end.
 */
function fromTheJoin(path: readonly Stretch[], border: Border, course: number): readonly Stretch[] {
  const last = path.at(-1)!;
  if (course === 1 || !border.closed || border.turned || !path[0]!.corner || last.corner) return path;
  const lead = Math.min(last.stitches, course - 1);
  return [{ ...last, stitches: lead }, ...path.slice(0, -1), { ...last, stitches: last.stitches - lead }];
}

const part = (instructions: Instruction[], stretch?: Stretch): BorderPart => ({ stretch, instructions });

/** How many stitches the last course of a border has; of loops, how many it is worked over. */
export function borderCount(border: Border): number {
  return pathsOf(border)
    .at(-1)!
    .reduce((sum, stretch) => sum + stitchesOf(stretch, border.stitch), 0);
}

/** A round of a border as it is drawn: of what, and how many along each edge and in each corner. */
interface BorderRound {
  stitch: BorderStitch;
  corner: number;
  along: Readonly<Record<string, number>>;
}

/** How many stitches of each round lie along some of its way, with what it is worked in. */
export function borderAlong(
  border: Border,
  lies: (stretch: Stretch, at: number) => boolean,
): { stitch: BorderStitch; stitches: number }[] {
  return pathsOf(border).map((path, index) => {
    const kind = kindOf(border, index + 1);
    const stitches = path.reduce((sum, one, at) => sum + (lies(one, at) ? stitchesOf(one, kind) : 0), 0);
    return { stitch: kind, stitches };
  });
}

/** Every round of a border that runs all round a piece. */
export function borderRounds(border: Border): BorderRound[] {
  return pathsOf(border).map((path, index) => {
    const stitch = kindOf(border, index + 1);
    const { corner } = KINDS[stitch];
    const along = path.flatMap(({ spans: [{ edge }], stitches, corner: turns }) => (turns ? [] : [[edge, stitches]]));
    return { stitch, corner, along: Object.fromEntries(along) as Record<string, number> };
  });
}

/** The way as each course meets it: of a corner the middle stitch is the next one's corner, the others lie along. */
function pathsOf(border: Border): Stretch[][] {
  const before = known.get(border);
  if (before) return before;
  const paths: Stretch[][] = [[...border.path]];
  for (let course = 1; course < border.courses; course += 1) paths.push(grown(paths.at(-1)!, border, course));
  known.set(border, paths);
  return paths;
}

/** A border is asked for its ways by words, tally and edges alike, and never changes. */
const known = new WeakMap<Border, Stretch[][]>();

function grown(path: readonly Stretch[], border: Border, course: number): Stretch[] {
  const beside = Math.floor((KINDS[kindOf(border, course)].corner - 1) / 2);
  return path.map((stretch, index) => {
    if (stretch.corner) return stretch;
    const neighbours = [index - 1, index + 1].map((at) => (border.closed ? path.at(at % path.length) : path[at]));
    const more = beside * neighbours.filter((one) => one?.corner).length;
    const loop = stretch.loop && { loop: { ...stretch.loop, after: stretch.loop.after + more / 2 } };
    return { ...stretch, stitches: stretch.stitches + more, ...loop };
  });
}

/** Stitches of a corner: as the border's stitch asks, or fewer where two are told. */
const cornerOf = ({ into }: Stretch, kind: BorderStitch) => Math.min(KINDS[kind].corner, into ?? 3) as 1 | 2 | 3;

const stitchesOf = (stretch: Stretch, kind: BorderStitch) =>
  stretch.corner ? cornerOf(stretch, kind) : stretch.stitches;

function along(stretch: Stretch, kind: BorderStitch, into: Edge['kind'], last: boolean): Instruction[] {
  const { stitch } = KINDS[kind];
  const corner = cornerOf(stretch, kind);
  const { stitches, loop } = stretch;
  const free: Instruction[] = loop && last ? [{ do: 'loop', chains: loop.chains, closes: loop.closes }] : [];
  if (stretch.corner) return [corner === 1 ? work(stitch, 1, into) : inOne(stitch, corner, into), ...free];
  if (stitches === 0) return [];
  const [span] = stretch.spans;
  const places = placesIn(span);
  const run = (times: number, over: number): Instruction =>
    into === 'row-end'
      ? { do: 'along', stitch, times, over, into, rhythm: rhythmAlong(span, times, over) }
      : work(stitch, times, into);
  if (free.length === 0) return [run(stitches, places)];
  const { after } = loop!;
  const before = Math.round((places * after) / stitches);
  return [run(after, before), ...free, run(stitches - after, places - before)].filter(
    (one) => !('times' in one) || one.times > 0,
  );
}

/** Both sides of a pair have it at the same rows, whichever way they are gone along (handbook 4.2). */
function rhythmAlong({ from, to }: Span, stitches: number, places: number): Rhythm {
  const rhythm = rhythmOf(stitches, places);
  return from < to ? mirroredRhythm(rhythm) : rhythm;
}

/** Chain 3, single in the second stitch on; an odd one over is worked plain. */
function loopsOver(stitches: number): Instruction[] {
  const one: Instruction[] = [
    { do: 'chain', chains: 3, spans: 1, as: 'space' },
    { do: 'skip', times: 1, into: 'stitch' },
    work('single', 1),
  ];
  return [...repeat(one, Math.floor(stitches / 2)), ...(stitches % 2 === 1 ? [work('single', 1)] : [])];
}

/**
 * The edges a border gives for the next border, a seam or a loop to stand on: every part of its way with the stitches
 * between the middles of its corners, and each corner's middle as a place of its own, named as what they lie along.
 */
export function outerEdges(border: Border, pitch: number): Map<string, Edge> {
  const path = grown(pathsOf(border).at(-1)!, border, border.courses);
  return new Map(
    path.map(({ spans: [{ edge, from }], stitches, corner }) => [
      corner ? `${border.id}.${edge}-${from === 1 ? 'left' : 'right'}` : `${border.id}.${edge}`,
      { kind: 'stitch', count: corner ? 1 : stitches, pitch },
    ]),
  );
}
