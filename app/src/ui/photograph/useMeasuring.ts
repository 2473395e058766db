import { averageOf, type Mark, type OutlineTold, type Point, type Told } from '@keep-snug/core/photograph';
import { useEffect, useRef, useState } from 'react';
import { openMeasurer } from '@/platform/measurer';
import { firstCorners, firstMarks, firstOutline, openPicture, type Picture } from './picture';

export type Mode = 'length' | 'outline';

/** What a picture tells: of a length, or of an outline. */
interface PictureTold {
  length?: Told;
  outline?: OutlineTold;
}

interface Standing {
  picture: Picture;
  corners: Point[];
  /** Whether the card's edges were found; nothing before it was looked for. */
  snapped: boolean | null;
  /** The card is settled, and the item is measured. */
  measuring: boolean;
  places: Point[];
  marks: Mark[];
  told: PictureTold;
}

const meanOf = (before: readonly Told[], now: Told | undefined): Told | undefined =>
  now ? averageOf([...before, now]) : undefined;

/** The pictures of one item: looked at, the card found, marks laid, what they tell averaged. */
export function useMeasuring() {
  const [mode, setMode] = useState<Mode>('length');
  const [height, setHeight] = useState(0);
  const [standing, setStanding] = useState<Standing | null>(null);
  const [fault, setFault] = useState('');
  // what earlier pictures told of the same
  const [before, setBefore] = useState<readonly PictureTold[]>([]);
  const worker = useRef<ReturnType<typeof openMeasurer> | null>(null);
  useEffect(() => () => worker.current?.close(), []);
  const change = (part: Partial<Standing>) => setStanding((now) => (now ? { ...now, ...part } : now));

  const open = async (file: Blob & { name: string }) => {
    try {
      const picture = await openPicture(file);
      worker.current ??= openMeasurer();
      await worker.current.measurer.look(picture.grey);
      const corners = firstCorners(picture.grey);
      setStanding({ picture, corners, snapped: null, measuring: false, places: [], marks: [], told: {} });
      setFault('');
    } catch {
      setFault(`“${file.name}” cannot be opened as a picture here. Choose a JPEG or PNG.`);
    }
  };

  const findCard = async () => {
    if (!standing) return;
    const found = await worker.current!.measurer.card(standing.corners);
    if (!found.ok) return setFault(found.message);
    setFault('');
    change({ corners: found.corners, snapped: found.snapped });
  };

  const tell = async (places: Point[], next: Mode, z: number) => {
    const { measurer } = worker.current!;
    // a mark that was moved on meanwhile is answered in its own turn
    const answer = (marks: Mark[], told: PictureTold) =>
      setStanding((now) => (now?.places === places ? { ...now, marks, told } : now));
    if (next === 'length') {
      const { marks, told } = await measurer.length([places[0]!, places[1]!], z);
      return answer(marks, { length: told });
    }
    const { marks, told } = await measurer.outline(places, z);
    return answer(marks, { outline: told });
  };

  const startMarks = (next: Mode) => {
    if (!standing) return;
    setMode(next);
    // what earlier pictures told was of something else
    if (next !== mode) setBefore([]);
    const { grey } = standing.picture;
    const laid = next === mode && standing.places.length > 0 ? standing.places : undefined;
    const places = laid ?? (next === 'length' ? firstMarks(grey) : firstOutline(grey));
    change({ measuring: true, places, marks: [], told: {} });
    if (laid) void tell(places, next, height);
  };

  const told: PictureTold = {};
  const now = standing?.told ?? {};
  const length = meanOf(
    before.flatMap((one) => one.length ?? []),
    now.length,
  );
  if (length) told.length = length;
  if (now.outline) {
    const of = (key: keyof OutlineTold) =>
      averageOf([...before.flatMap((one) => one.outline?.[key] ?? []), now.outline![key]]);
    told.outline = { width: of('width'), height: of('height'), corner: of('corner') };
  }

  return {
    mode,
    height,
    standing,
    fault,
    /** All pictures of this measure together. */
    told,
    pictures: before.length + (now.length || now.outline ? 1 : 0),
    open,
    /** Another picture of the same; what this one told stays. */
    openMore: async (file: Blob & { name: string }) => {
      if (now.length || now.outline) setBefore([...before, now]);
      await open(file);
    },
    findCard,
    startMarks,
    moveCorner: (index: number, to: Point) =>
      change({ corners: replaced(standing!.corners, index, to), snapped: null }),
    movePlace: (index: number, to: Point) =>
      change({ places: replaced(standing!.places, index, to), marks: [], told: {} }),
    settle: () => void (standing?.measuring ? tell(standing.places, mode, height) : undefined),
    raise: (mm: number) => {
      setHeight(mm);
      if (standing?.measuring && standing.marks.length > 0) void tell(standing.places, mode, mm);
    },
    backToCard: () => change({ measuring: false, marks: [], told: {} }),
  };
}

const replaced = (points: readonly Point[], index: number, to: Point): Point[] =>
  points.map((point, at) => (at === index ? to : point));
