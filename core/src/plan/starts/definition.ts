import type { ThingSpec } from '../../craft/things';
import type { Plan } from '../plan';

/** A length that is asked, with the words it is asked by. */
interface LengthAsk {
  kind: 'length';
  /** Where the answer goes: `thing.width`, `thing.members[0].height`, of every tool `thing.tools[*].length`, `carrier.width`. */
  at: string;
  /** What it is called here, where not as everywhere. */
  label?: string;
  help?: string;
  /** How long it often is, mm: drawn until it is said. */
  usualMm: number;
  /** It stands as it is, for who says nothing. */
  stands?: true;
}

/** The sizes of several round tools, in one line. */
interface SizesAsk {
  kind: 'sizes';
  at: 'thing.tools';
  label: string;
  help: string;
  /** What such a tool is called behind its size: “4 mm hook”. */
  one: string;
  usual: string;
}

export type StartAsk = LengthAsk | SizesAsk;

type StartFitting = NonNullable<Plan['fittings']>[number];

/** What of a plan a start says: all but its yarn, hook and stitch, which the maker has. */
type StartPlan = Pick<Plan, 'shape' | 'fit' | 'carrier'> & {
  /** Without its measures, which are asked. */
  thing: ThingSpec;
  fittings?: readonly StartFitting[];
  /** Of what is lower than so much, mm: the first that it is. */
  low?: readonly { underMm: number; fittings: readonly StartFitting[] }[];
  /** What it is worked in, where the cover lives by it. */
  stitch?: string;
};

/** A cover that people make: what it is, what has to be said for one's own, and what else is settled until it is changed. */
export interface StartDefinition {
  id: string;
  /** What a maker asks for: “phone pouch”. */
  name: string;
  /** What sets it apart, in half a line. */
  says: string;
  asks: readonly StartAsk[];
  plan: StartPlan;
}

/** The asks of a box: how wide, how high, how deep it often is, mm. */
export function boxAsks(usual: readonly [number, number, number], at = 'thing', of = ''): StartAsk[] {
  return (['width', 'height', 'depth'] as const).map((key, index) => ({
    kind: 'length',
    at: `${at}.${key}`,
    usualMm: usual[index]!,
    ...(of ? { label: `${of}: ${key}` } : {}),
  }));
}
