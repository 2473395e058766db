import { inOrder, stepsToMake, type Happening, type MakeEvent, type MakingStep } from '../make/log';
import { mend } from '../make/adjust';
import type { Plan } from '../plan/plan';
import { reckon } from '../reckon/reckon';
import { rowMinutes } from '../reckon/supplies';
import { MAKE_IDS, TERN_POINT } from './ternPoint';

const DEVICE = 'd0000000-0000-4000-8000-000000000001';
const MINUTE = 60_000;

/** The evening hand of the hide: a little slower than most. */
const SLOWER = 1.25;

/** What else is done between rows takes so long, minutes. */
const ELSE_MINUTES = 5;

/** A make as it goes on, its clock moving with it. */
class Log {
  readonly events: MakeEvent[] = [];
  private at: number;

  constructor(
    private readonly make: string,
    start: string,
    private readonly number: number,
  ) {
    this.at = Date.parse(start);
  }

  happened(what: Happening, minutes = 0): string {
    this.at += minutes * MINUTE;
    const n = this.events.length + 1;
    const id = `10000000-0000-4000-8000-${String(this.number + n).padStart(12, '0')}`;
    this.events.push({ id, make: this.make, device: DEVICE, at: new Date(this.at).toISOString(), n, ...what });
    return id;
  }

  /** Steps done one after the other, under a decision where there was one. */
  ticked(steps: readonly MakingStep[], under: string | null = null): void {
    for (const { id, work } of steps)
      this.happened({ kind: 'ticked', step: id, under }, work ? SLOWER * rowMinutes(work) : ELSE_MINUTES);
  }

  /** Laid aside until another evening. */
  rested(hours: number): void {
    this.at += hours * 60 * MINUTE;
  }
}

type Finish = Omit<Extract<Happening, { kind: 'finished' }>, 'kind'>;

const stepsOf = (plan: Plan) => stepsToMake(reckon(plan).steps);
const planOf = (make: string) => TERN_POINT.makes[make]!.plan;

/** Worked to the end in two evenings, measured, and said how it sits. */
function finished(make: string, start: string, number: number, finish: Finish): MakeEvent[] {
  const steps = stepsOf(planOf(make));
  const log = new Log(make, start, number);
  const half = Math.ceil(steps.length / 2);
  log.ticked(steps.slice(0, half));
  log.rested(23);
  log.ticked(steps.slice(half));
  log.happened({ kind: 'finished', ...finish }, 10);
  return log.events;
}

/** The foundation and 22 rows are done: row 23 is next. */
function fieldPhone(): MakeEvent[] {
  const steps = stepsOf(planOf(MAKE_IDS.fieldPhone)).slice(0, 23);
  const log = new Log(MAKE_IDS.fieldPhone, '2026-10-02T18:00:00.000Z', 0);
  log.ticked(steps);
  log.happened({ kind: 'noted', text: 'Second ball joined at the left edge.', step: steps[20]!.id });
  return log.events;
}

/** Measured after fourteen rows, wider than planned; what was recommended was done, and seven rows more. */
function railPocket(): MakeEvent[] {
  const plan = planOf(MAKE_IDS.railPocket);
  const steps = stepsOf(plan);
  const log = new Log(MAKE_IDS.railPocket, '2026-10-04T18:30:00.000Z', 2000);
  log.ticked(steps.slice(0, 15));
  const last = steps[14]!;
  log.happened(
    { kind: 'measured', piece: last.piece, what: 'width', count: last.ends!, mm: 161, by: 'tape', atStep: last.id },
    3,
  );
  const { choices } = mend(plan, inOrder(log.events));
  const { id: choice, from, plan: next } = choices.find(({ recommended }) => recommended)!;
  const decided = log.happened({ kind: 'decided', choice, from, plan: next }, 2);
  const done = new Set(mend(plan, log.events).state.done);
  log.ticked(
    stepsOf(next)
      .filter(({ id }) => !done.has(id))
      .slice(0, 7),
    decided,
  );
  return log.events;
}

/** What happened to the makes so far. */
export function ternPointEvents(): MakeEvent[] {
  return [
    ...fieldPhone(),
    ...finished(MAKE_IDS.tideTable, '2026-09-12T19:00:00.000Z', 1000, {
      asMade: { width: 108, height: 151 },
      fits: 'right',
      grams: 27,
    }),
    ...railPocket(),
    ...finished(MAKE_IDS.glasses, '2026-08-21T18:30:00.000Z', 3000, {
      asMade: { width: 87, height: 171 },
      fits: 'loose',
      grams: 30,
      note: 'One stitch less, or the smaller hook.',
    }),
    ...finished(MAKE_IDS.soap, '2026-08-02T19:10:00.000Z', 4000, {
      asMade: { width: 109, height: 108 },
      fits: 'right',
      grams: 18,
    }),
    ...finished(MAKE_IDS.loupe, '2026-07-11T20:00:00.000Z', 5000, {
      asMade: { width: 66, height: 112 },
      fits: 'tight',
      grams: 9,
      note: 'Chain looser at the opening.',
    }),
  ];
}
