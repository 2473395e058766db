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
  // what is being done now, and which of all that was begun it is: what was stopped answers nobody
  const [working, setWorking] = useState('');
  const turn = useRef(0);
  const change = (part: Partial<Standing>) => setStanding((now) => (now ? { ...now, ...part } : now));

  const begin = (says: string) => {
    const mine = (turn.current += 1);
    setWorking(says);
    setFault('');
    return { isStopped: () => turn.current !== mine, end: () => turn.current === mine && setWorking('') };
  };

  const stop = () => {
    turn.current += 1;
    setWorking('');
    // the one that works listens to nobody until it is done
    worker.current?.close();
    worker.current = null;
  };

  /** What looks at a picture, with this one before it. */
  const lookingAt = async (grey: Picture['grey'], isNew = worker.current === null) => {
    worker.current ??= openMeasurer();
    if (isNew) await worker.current.measurer.look(grey);
    return worker.current.measurer;
  };

  const open = async (file: Blob & { name: string }) => {
    const { isStopped, end } = begin('Opening the picture');
    try {
      const picture = await openPicture(file);
      if (isStopped()) return;
      await lookingAt(picture.grey, true);
      if (isStopped()) return;
      const corners = firstCorners(picture.grey);
      setStanding({ picture, corners, snapped: null, measuring: false, places: [], marks: [], told: {} });
    } catch {
      if (!isStopped()) setFault(`“${file.name}” cannot be opened as a picture here. Choose a JPEG or PNG.`);
    }
    end();
  };

  const findCard = async () => {
    if (!standing) return;
    const { isStopped, end } = begin('Finding the card’s edges');
    const measurer = await lookingAt(standing.picture.grey);
    const found = await measurer.card(standing.corners);
    if (isStopped()) return;
    end();
    if (!found.ok) return setFault(found.message);
    change({ corners: found.corners, snapped: found.snapped });
  };

  const tell = async (places: Point[], next: Mode, z: number) => {
    const measurer = await lookingAt(standing!.picture.grey);
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
    /** What is being done now, in words; '' where nothing is. */
    working,
    stop,
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
