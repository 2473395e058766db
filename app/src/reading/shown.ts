import { byCode } from '@keep-snug/core';
import type { Day, JobTold, SittingHelp } from '@keep-snug/core/sittings';
import type { Shelves } from '@/data/types';

/** A project as its days are told: a make, a plan, or a whole batch. */
export interface ShownJob {
  /** Of the document the day is kept by. */
  id: string;
  title: string;
  kind: 'job' | 'batch';
  /** Ids of all its jobs. */
  jobs: readonly string[];
  minutes: number;
  sittings: number;
  done: Day | null;
  wanted: Day | null;
  chance: number | null;
  helps: readonly SittingHelp[];
}

/** Jobs by themselves, and the pieces of a batch as one. */
export function jobsShown(jobs: readonly JobTold[], batches: Shelves['batches']): ShownJob[] {
  const groups = new Set(jobs.flatMap(({ group }) => group ?? []));
  return [
    ...[...groups].map((id) => batchShown(id, batches[id]?.body.name ?? 'Batch', ownOf(jobs, id))),
    ...ownOf(jobs, null).map((job): ShownJob => ({ ...job, kind: 'job', jobs: [job.id] })),
  ].sort((a, b) => byCode(a.wanted ?? '9999', b.wanted ?? '9999'));
}

const ownOf = (jobs: readonly JobTold[], id: string | null) => jobs.filter(({ group }) => group === id);

function batchShown(id: string, title: string, own: readonly JobTold[]): ShownJob {
  const sum = (of: (job: JobTold) => number) => own.reduce((all, job) => all + of(job), 0);
  const told = own.find(({ chance }) => chance !== null);
  const done = own.map((job) => job.done);
  return {
    id,
    title,
    kind: 'batch',
    jobs: own.map((job) => job.id),
    minutes: sum(({ minutes }) => minutes),
    sittings: sum(({ sittings }) => sittings),
    done: done.includes(null) ? null : done.reduce<Day>((last, day) => (day! > last ? day! : last), ''),
    wanted: own[0]?.wanted ?? null,
    chance: told?.chance ?? null,
    helps: told?.helps ?? [],
  };
}
