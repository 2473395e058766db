import type { KeptEvent, Place } from './events';
import { groupBy } from './group';
import type { StepPlace } from './types';

/** A step done, and the event that says so. */
export interface Tick {
  step: string;
  by: KeptEvent;
  /** Whether it is done only because a later place of its piece was named. */
  implied: boolean;
}

type Of<Kind extends KeptEvent['kind']> = Extract<KeptEvent, { kind: Kind }>;
const is =
  <Kind extends KeptEvent['kind']>(kind: Kind) =>
  (event: KeptEvent): event is Of<Kind> =>
    event.kind === kind;

/** The events that were not taken back. */
export function standingEvents(ordered: readonly KeptEvent[]): KeptEvent[] {
  const undone = new Set(
    ordered.filter(is('undone')).flatMap(({ ticks = [], undoes }) => (undoes ? [...ticks, undoes] : ticks)),
  );
  return ordered.filter(({ id }) => !undone.has(id));
}

/** The last decision that was not taken back: the make follows its plan. */
export const lastDecision = (ordered: readonly KeptEvent[]): Of<'decided'> | undefined =>
  standingEvents(ordered).filter(is('decided')).at(-1);

/**
 * Which steps are done, in the order in which they were ticked.
 * @param ordered the events of one make, in order
 */
export function stepsTicked(ordered: readonly KeptEvent[], steps: readonly StepPlace[]): Tick[] {
  const standing = standingEvents(ordered);
  const placed = new Map(standing.filter(is('placed')).map((event) => [event.piece, event]));
  const places = new Map(steps.map((step) => [step.id, step]));
  const decisions = standing.filter(is('decided'));
  const unnamed = unnamedOrder(steps);
  let counted = 0;

  return standing.flatMap((event): Tick[] => {
    if (event.kind === 'placed') return placed.get(event.piece) === event ? placedSteps(event, steps) : [];
    if (event.kind !== 'ticked') return [];
    const step = event.step ?? unnamed[counted++];
    const place = step === undefined ? undefined : places.get(step);
    if (!place) return [];
    const later = placed.get(place.piece);
    if (later && (event.n ?? 0) < (later.n ?? 0)) return [];
    if (!reaches(event, place, decisions)) return [];
    return [{ step: place.id, by: event, implied: false }];
  });
}

function placedSteps(event: Of<'placed'>, steps: readonly StepPlace[]): Tick[] {
  const until = steps.filter(
    ({ piece, kind, row, copy }) =>
      copy === undefined && piece === event.piece && (row === null ? kind === 'foundation' : row <= event.course),
  );
  return until.map(({ id }, index) => ({ step: id, by: event, implied: index < until.length - 1 }));
}

/** A foundation stands before the first row: who goes back to nothing begins with another. */
const BEFORE_ROW_1 = 0.5;

/** A tick made before a decision was known counts up to where that decision begins. */
function reaches({ under }: Of<'ticked'>, { piece, row }: StepPlace, decisions: readonly Of<'decided'>[]): boolean {
  const known = under ? decisions.findIndex(({ id }) => id === under) : -1;
  if (under && known < 0) return true;
  const course = row ?? BEFORE_ROW_1;
  return decisions.slice(known + 1).every(({ from }) => !beyond({ piece, course }, from));
}

function beyond({ piece, course }: Place, from: Place | null): boolean {
  return from !== null && from.piece === piece && course > from.course;
}

/**
 * The steps that ticks of earlier versions completed, which named none: foundations, rows and rounds piece by piece,
 * then the others in order.
 */
function unnamedOrder(steps: readonly StepPlace[]): string[] {
  const isCourse = ({ kind, row }: StepPlace) => kind === 'foundation' || row !== null;
  const once = steps.filter(({ copy }) => copy === undefined);
  const byPiece = groupBy(once.filter(isCourse), ({ piece }) => piece);
  const courses = [...byPiece.values()].flat();
  return [...courses, ...once.filter((step) => !isCourse(step))].map(({ id }) => id);
}
