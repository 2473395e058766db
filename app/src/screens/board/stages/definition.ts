import type { Plan, PlanFault, Worked } from '@keep-snug/core';
import type { ReactElement } from 'react';

export interface StageProps {
  plan: Plan;
  worked: Worked | null;
  faults: readonly PlanFault[];
  /** Changes the plan; what is reckoned from it follows at once. */
  edit: (work: (plan: Plan) => Plan) => void;
}

/** One of the board's stages: its decision in a line when closed, its editor when open. */
export interface Stage {
  id: string;
  name: string;
  summary: (plan: Plan, worked: Worked | null, say: Say) => string;
  /** Plan paths whose faults belong here. */
  owns: readonly string[];
  Body: (props: StageProps) => ReactElement;
}

/** How this reader is spoken to. */
export interface Say {
  length: (mm: number) => string;
  number: (mm: number) => string;
  /** What two lengths differ by, no finer than it is known. */
  difference: (mm: number, sd: number) => string;
  gauge: (gauge: Worked['gauges'][number]) => string;
  term: (id: string) => string;
}
