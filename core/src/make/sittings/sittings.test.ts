import { SITTING_SPREAD } from '../log/pace';
import fc from 'fast-check';
import { TERN_POINT } from '../../demo';
import { seeded } from '../../craft/fit';
import type { MakingStep } from '../log';
import { reckon } from '../../reckon/reckon';
import type { Plan } from '../../plan/plan';
import {
  chanceBy,
  dayAfter,
  doneOn,
  endingAfter,
  inTurn,
  isShaping,
  LIKELY_BY,
  minutesOf,
  minutesOn,
  planSittings,
  sittingsOf,
  sittingText,
  slid,
  toDoOf,
  type HoursSpec,
  type Job,
  type ToDo,
} from './index';

const FROM = '2026-12-01';
const plans = Object.values(TERN_POINT.plans);
const planOf = (title: string): Plan => plans.find((plan) => plan.title.includes(title))!;
const jobOf = (title: string, more: Partial<Job> = {}): Job => ({ id: title, title, plan: planOf(title), ...more });
const evenings: HoursSpec = { week: [1, 1, 1, 1, 1, 2, 2] };
const quarters: HoursSpec = { week: [0.25, 0.25, 0.25, 0.25, 0.25, 0.5, 0.5] };
const anyWeek = fc
  .array(fc.integer({ min: 0, max: 8 }), { minLength: 7, maxLength: 7 })
  .map((quarters): HoursSpec => ({ week: quarters.map((one) => one / 2) }))
  .filter(({ week }) => week.some((one) => one > 0));
const anyPlan = fc.constantFrom(...plans);

describe('what is left of a job', () => {
  it.each(plans.map((plan) => [plan.title, plan] as const))('%s takes what its plan says', (_, plan) => {
    const { time } = reckon(plan).supplies;
    expect(minutesOf(toDoOf({ id: 'a', title: 'a', plan }))).toBeCloseTo(time.value, 6);
  });

  it('grows less with every tick', () => {
    const job = jobOf('Field phone');
    const { steps } = toDoOf(job);
    const ticked = (count: number) =>
      steps.slice(0, count).map(({ id }, index) => ({
        id: `00000000-0000-4000-8000-${String(index).padStart(12, '0')}`,
        make: job.id,
        device: 'd',
        at: new Date(Date.UTC(2026, 10, 1, 0, 3 * index)).toISOString(),
        n: index + 1,
        kind: 'ticked' as const,
        step: id,
        under: null,
      }));
    const left = [0, 20, 60].map((count) => minutesOf(toDoOf({ ...job, events: ticked(count) })));
    expect(left).toEqual([...left].sort((a, b) => b - a));
    expect(toDoOf({ ...job, events: ticked(20) }).steps[0]!.id).toBe(steps[20]!.id);
  });
});

describe('sittings', () => {
  it('hold every step once and in order, on days that have time, within it', () => {
    fc.assert(
      fc.property(anyWeek, fc.array(anyPlan, { minLength: 1, maxLength: 3 }), (hours, some) => {
        const jobs = some.map((plan, index) => toDoOf({ id: `${index}`, title: plan.title, plan }));
        const sittings = sittingsOf(hours, FROM, jobs);
        for (const job of jobs) {
          const own = sittings.filter((one) => one.job === job.job.id);
          expect(own.flatMap(({ steps }) => steps.map(({ id }) => id))).toEqual(job.steps.map(({ id }) => id));
          expect(own.reduce((sum, { minutes }) => sum + minutes, 0)).toBeCloseTo(minutesOf(job), 4);
          expect(own.map(({ number }) => number)).toEqual(own.map((_, index) => index + 1));
        }
        const byDay = new Map<string, number>();
        for (const { day, minutes } of sittings) byDay.set(day, (byDay.get(day) ?? 0) + minutes);
        const shaped = sittings.filter(({ steps }) => steps.length === 1 && isShaping(steps[0]!)).map(({ day }) => day);
        for (const [day, minutes] of byDay)
          if (!shaped.includes(day)) expect(minutes).toBeLessThanOrEqual(minutesOn(hours, day) + 1e-6);
      }),
      { numRuns: 60 },
    );
  });

  it('are never left inside a row that is shaped, and at a section’s end where it lies near', () => {
    const short: HoursSpec = { week: [0.25, 0.25, 0.25, 0.25, 0.25, 0.25, 0.25] };
    const job = toDoOf(jobOf('Ring tin'));
    const sittings = sittingsOf(short, FROM, [job]);
    let at = 0;
    for (const { steps, ends } of sittings) {
      at += steps.length;
      if (ends === 'within-row') expect(isShaping(job.steps[at]!)).toBe(false);
      else expect(endingAfter(job.steps, at - 1)).toBe(ends);
    }
    const good = sittingsOf(evenings, FROM, [toDoOf(jobOf('Field phone'))]).filter(({ ends }) => ends !== 'row');
    expect(good.length).toBeGreaterThan(1);
  });

  it('go to the make that is wanted first', () => {
    const [late, soon, whenever] = [
      toDoOf(jobOf('tote', { wanted: '2026-12-30' })),
      toDoOf(jobOf('Field phone', { wanted: '2026-12-05' })),
      toDoOf(jobOf('Ring tin')),
    ];
    const order = inTurn([whenever, late, soon]);
    expect(order).toEqual([soon, late, whenever]);
    const sittings = sittingsOf(evenings, FROM, [whenever, late, soon]);
    expect(doneOn(sittings, soon.job.id)! <= doneOn(sittings, late.job.id)!).toBe(true);
  });

  it('slid to another day take their time along', () => {
    const [first] = sittingsOf(evenings, FROM, [toDoOf(jobOf('Field phone'))]);
    const there = slid(evenings, first!.day, dayAfter(FROM, 4), first!.minutes);
    // what is left of the day is too little to sit down for
    expect(minutesOn(there, first!.day)).toBe(0);
    expect(minutesOn(there, dayAfter(FROM, 4))).toBeCloseTo(180, 1);
    const part = slid(evenings, dayAfter(FROM, 5), dayAfter(FROM, 6), 30);
    expect(minutesOn(part, dayAfter(FROM, 5))).toBeCloseTo(90, 1);
    const [moved] = sittingsOf(there, FROM, [toDoOf(jobOf('Field phone'))]);
    expect(moved!.day > first!.day).toBe(true);
  });

  it('are told from where to where', () => {
    const said = sittingsOf(quarters, FROM, [toDoOf(jobOf('Field phone'))]).map(sittingText);
    expect(said[0]).toMatch(/^The start to row \d+/);
    expect(said.at(-1)).toMatch(/: done\.$/);
    expect(said.join(' ')).toMatch(/Rows \d+ to \d+/);
  });

  it('there are none where there is no time', () => {
    const none: HoursSpec = { week: [0, 0, 0, 0, 0, 0, 0] };
    const told = planSittings({ hours: none, from: FROM, jobs: [jobOf('tote', { wanted: '2026-12-30' })] });
    expect(told.sittings).toEqual([]);
    expect(told.jobs[0]).toMatchObject({ done: null, chance: 0 });
  });
});

/** A make of one stretch of rows, all alike. */
function plain(id: string, rows: number, each: number, spread: number): ToDo {
  const step = (row: number) =>
    ({
      id: `${id}-${row}`,
      piece: id,
      pieceName: '',
      section: row < rows / 2 ? 'front' : 'back',
      kind: 'row',
      row,
      lead: '',
      work: null,
      ends: 10,
    }) as unknown as MakingStep;
  return {
    job: { id, title: id, plan: planOf('tote') },
    steps: Array.from({ length: rows }, (_, index) => step(index + 1)),
    minutes: Array.from({ length: rows }, () => each),
    spread,
    begun: false,
  };
}

describe('the chance of being done by a day', () => {
  it('grows with the days there are, and with the hours', () => {
    const jobs = [toDoOf(jobOf('tote')), toDoOf(jobOf('Ring tin'))];
    const chances = [1, 5, 8, 12, 20, 60].map((ahead) => chanceBy(quarters, FROM, jobs, 'tote', dayAfter(FROM, ahead)));
    expect(chances).toEqual([...chances].sort((a, b) => a - b));
    expect(chances[0]).toBeLessThan(0.01);
    expect(chances.at(-1)).toBeGreaterThan(0.99);
    const more = { week: quarters.week.map((one) => 1.5 * one) };
    expect(chanceBy(more, FROM, jobs, 'tote', dayAfter(FROM, 8))).toBeGreaterThanOrEqual(chances[2]!);
  });

  it('holds in a simulated year of evenings', () => {
    const random = seeded(20_261);
    const normal = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
    const groups = new Map<number, { said: number; done: number; of: number }>();
    for (let round = 0; round < 1500; round += 1) {
      const spread = 0.1 + 0.25 * random();
      const job = plain('a', 20 + Math.floor(60 * random()), 4 + 6 * random(), spread);
      const hours: HoursSpec = { week: Array.from({ length: 7 }, () => Math.floor(5 * random()) / 2) };
      const by = dayAfter(FROM, 2 + Math.floor(18 * random()));
      const said = chanceBy(hours, FROM, [job], 'a', by);
      const done = evening(job, hours, by, Math.exp(spread * normal()), () => Math.exp(SITTING_SPREAD * normal()));
      const key = Math.min(4, Math.floor(5 * said));
      const group = groups.get(key) ?? { said: 0, done: 0, of: 0 };
      groups.set(key, { said: group.said + said, done: group.done + Number(done), of: group.of + 1 });
    }
    for (const { said, done, of } of groups.values()) {
      // as near as so few years can tell
      const sd = Math.sqrt(Math.max(0.02, (said / of) * (1 - said / of)) / of);
      expect(Math.abs(done - said) / of).toBeLessThan(0.05 + 2.5 * sd);
    }
    expect(groups.size).toBe(5);
  });
});

/** Evening after evening as it comes: rows as long as the evening has time, stopping at the end of a section where it is near. */
function evening({ steps, minutes }: ToDo, hours: HoursSpec, by: string, pace: number, today: () => number): boolean {
  let next = 0;
  let into = 0;
  for (let day = FROM; day <= by && next < steps.length; day = dayAfter(day, 1)) {
    let left = minutesOn(hours, day);
    const slow = pace * today();
    while (left > 0 && next < steps.length) {
      const row = slow * minutes[next]! - into;
      if (row > left) {
        // a row that is longer than the evening is gone on with, else the rest of the evening is left
        if (left === minutesOn(hours, day)) into += left;
        break;
      }
      into = 0;
      left -= row;
      next += 1;
    }
  }
  return next >= steps.length;
}

describe('what helps', () => {
  const by = dayAfter(FROM, 2);
  const told = () =>
    planSittings({ hours: quarters, from: FROM, jobs: [jobOf('Ring tin', { wanted: by }), jobOf('tote')] });

  it('is said where a day cannot be met, each with what it leads to', () => {
    const [job] = told().jobs;
    expect(job!.chance).toBeLessThan(0.5);
    expect(job!.helps.map(({ id }) => id)).toEqual(expect.arrayContaining(['more-hours', 'another-day']));
    for (const help of job!.helps) expect(help.chance).toBeGreaterThan(job!.chance!);
  });

  it('does what it says', () => {
    const [job] = told().jobs;
    for (const { does, chance } of job!.helps) {
      const again = planSittings({
        hours: 'hours' in does ? does.hours : quarters,
        from: FROM,
        jobs: [
          jobOf('Ring tin', {
            wanted: 'wanted' in does ? does.wanted : by,
            ...('plan' in does ? { plan: does.plan } : {}),
          }),
          ...('aside' in does ? [] : [jobOf('tote')]),
        ],
      }).jobs[0]!;
      expect(again.chance).toBeCloseTo(chance, 6);
    }
  });

  it('a plan that is not begun may take a bigger hook, or leave a fitting out', () => {
    const [job] = told().jobs;
    const ids = job!.helps.map(({ id }) => id.split('-')[0]);
    expect(ids).toContain('hook');
    for (const { saves, fit } of job!.helps.filter(({ does }) => 'plan' in does)) {
      expect(saves).toBeGreaterThan(0);
      expect(fit).toBeGreaterThanOrEqual(0);
    }
  });

  it('is silent where it is likely', () => {
    const jobs = [jobOf('gift', { wanted: dayAfter(FROM, 60) })];
    const [job] = planSittings({ hours: evenings, from: FROM, jobs }).jobs;
    expect(job!.chance).toBeGreaterThan(LIKELY_BY);
    expect(job!.helps).toEqual([]);
  });

  it('of a batch is to make fewer', () => {
    const wanted = dayAfter(FROM, 5);
    const jobs = Array.from({ length: 6 }, (_, index) => jobOf('gift', { id: `p${index}`, group: 'batch', wanted }));
    const all = planSittings({ hours: quarters, from: FROM, jobs }).jobs;
    expect(all.filter(({ chance }) => chance !== null).map(({ id }) => id)).toEqual(['p5']);
    const fewer = all[5]!.helps.find(({ id }) => id === 'fewer')!;
    expect(fewer.does).toMatchObject({ fewer: expect.any(Number) as number });
    expect(fewer.chance).toBeGreaterThan(all[5]!.chance!);
  });
});
