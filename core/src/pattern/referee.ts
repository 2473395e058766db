import type { GroupPart, Instruction, Place } from '../craft/fabric';

/** One place of a row, to be worked into: a stitch, a chain, or a space of chains that spans columns. */
export interface WorkedPlace {
  kind: 'stitch' | 'chain' | 'space' | 'row-end' | 'top' | 'free-loop';
  columns: number;
  /** It shares its place with others: a group or a V, which has a gap before it or within. */
  grouped?: true;
}

type Ruling = { ok: true; made: number; places: WorkedPlace[]; left: WorkedPlace[] } | { ok: false; fault: string };

const STITCH: WorkedPlace = { kind: 'stitch', columns: 1 };
const GROUPED: WorkedPlace = { kind: 'stitch', columns: 1, grouped: true };
/** The top of a chain that counts as the first stitch: the last to be met when the work is turned. */
const TOP: WorkedPlace = { kind: 'top', columns: 1 };
const CHAIN: WorkedPlace = { kind: 'chain', columns: 1 };
const FREE_LOOP: WorkedPlace = { kind: 'free-loop', columns: 1 };
const ROW_END: WorkedPlace = { kind: 'row-end', columns: 1 };

/** So many stitches, or so many chains, side by side. */
export function placesOf(count: number, kind: 'stitch' | 'chain' | 'row-end' | 'free-loop' = 'stitch'): WorkedPlace[] {
  const place = { stitch: STITCH, chain: CHAIN, 'row-end': ROW_END, 'free-loop': FREE_LOOP }[kind];
  return Array.from({ length: count }, () => place);
}

/** What takes any number of stitches and uses up no place. */
const UNBOUND: ReadonlySet<Place> = new Set(['ring', 'end', 'corner', 'start', 'itself']);

class Fault extends Error {}

/** The hook at work: what is still there below it, what it has made so far, what it left for later. */
class Hook {
  private at = 0;
  readonly taken: WorkedPlace[] = [];
  readonly made: WorkedPlace[] = [];
  readonly left: WorkedPlace[] = [];

  /** @param ontoTop whether the words say that the last stitch goes into the top of a chain */
  constructor(
    private below: readonly WorkedPlace[],
    private readonly ontoTop: boolean,
  ) {}

  get remaining(): number {
    return this.below.length - this.at;
  }

  /** The next place, which must be of the kind the words name. */
  take(into: Place): WorkedPlace {
    const next = this.below[this.at];
    if (!next) throw new Fault(`needs one more ${into}, 0 left`);
    const meets =
      into === 'gap' ? next.kind !== 'space' : next.kind === into || (next.kind === 'top' && into === 'stitch');
    if (!meets) throw new Fault(`is told to work into a ${into} and meets a ${next.kind}`);
    // groups along the other side of a foundation chain stand in its chains
    if (into === 'gap' && next.kind === 'stitch' && !next.grouped)
      throw new Fault('is told to work into a gap and meets a stitch by itself');
    this.mayMeet(next);
    this.at += 1;
    this.taken.push(next);
    return next;
  }

  /** A counted chain looks unlike a stitch: that its top is worked into must be said. */
  private mayMeet({ kind }: WorkedPlace): void {
    if (kind === 'top' && !this.ontoTop) throw new Fault('is not told to work into the top of the turning chain');
  }

  /** The last place worked into was the top of a counted chain. */
  wasTop(): void {
    if (this.taken.at(-1)?.kind !== 'top') throw new Fault('is told of a turning chain that is no stitch');
  }

  /** Joined, the round comes back to its first stitch, be it a chain. */
  closeRound(): void {
    if (this.made.length === 0) throw new Fault('joins to a first stitch that is not there');
    if (this.made[0]!.kind === 'top') this.made[0] = STITCH;
  }

  takeColumns(columns: number, into: Place): void {
    let taken = 0;
    while (taken < columns) taken += this.take(into).columns;
    if (taken !== columns) throw new Fault(`takes up ${taken} columns where ${columns} are meant`);
  }

  /** The next place of any kind. */
  takeAny(): WorkedPlace {
    const next = this.below[this.at];
    if (!next) throw new Fault('needs one more place, 0 left');
    this.mayMeet(next);
    this.at += 1;
    this.taken.push(next);
    return next;
  }

  make(place: WorkedPlace, times = 1): void {
    for (let time = 0; time < times; time += 1) this.made.push(place);
  }

  /** Turns the work to the underside of the foundation chain. */
  refill(chains: number): void {
    if (this.remaining > 0) throw new Fault(`${this.remaining} left unworked on the first side`);
    this.below = placesOf(chains, 'chain');
    this.at = 0;
  }

  /** Leaves what was worked before behind, and goes along other loops. */
  goTo(loops: number): void {
    if (this.at > 0) throw new Fault('goes to other loops in the middle of a round');
    this.below = placesOf(loops, 'free-loop');
  }

  /** Places further on, behind those that are there. */
  append(places: readonly WorkedPlace[]): void {
    if (this.at > 0) throw new Fault('chains across in the middle of a row');
    this.below = [...this.below, ...places];
  }

  /** Places that are met before those that are there. */
  prepend(places: readonly WorkedPlace[]): void {
    if (this.at > 0) throw new Fault('goes around in the middle of a round');
    this.below = [...places, ...this.below];
  }

  /** Of a tube laid flat the next place, and the one that lies behind it. */
  takeBoth(): void {
    this.take('stitch');
    if (this.remaining === 0 || this.below.at(-1)!.kind !== 'stitch')
      throw new Fault('has no stitch in the layer behind');
    this.below = this.below.slice(0, -1);
  }

  /** The round before was closed in the middle of its last loop: that is the first to be met. */
  beginInLast(): void {
    const last = this.below.at(-1);
    if (this.at > 0 || last?.kind !== 'space') throw new Fault('does not stand in a loop');
    this.below = [last, ...this.below.slice(0, -1)];
  }

  leave(): void {
    this.left.push(this.takeAny());
  }
}

type Doing = { [K in Instruction['do']]: (hook: Hook, instruction: Extract<Instruction, { do: K }>) => void };

const times = (count: number, act: () => void) => {
  for (let time = 0; time < count; time += 1) act();
};

function makePart(hook: Hook, part: GroupPart): void {
  if ('stitch' in part) hook.make(part.count > 1 ? GROUPED : STITCH, part.count);
  else hook.make({ kind: 'space', columns: part.spans });
}

/** What each instruction uses up and makes. */
const DOING: Doing = {
  work: (hook, { times: count, into }) => {
    times(count, () => {
      if (!UNBOUND.has(into)) hook.take(into);
      hook.make(STITCH);
    });
  },
  along: (hook, { times: count, over, into }) => {
    times(over, () => void hook.take(into));
    hook.make(STITCH, count);
  },
  group: (hook, { parts, over, into, times: count }) => {
    times(count, () => {
      if (into === 'space') hook.take('space');
      else if (!UNBOUND.has(into)) hook.takeColumns(over, into);
      parts.forEach((part) => makePart(hook, part));
    });
  },
  together: (hook, { over, times: count }) => {
    times(count, () => {
      times(over, () => void hook.takeAny());
      hook.make(STITCH);
    });
  },
  skip: (hook, { times: count, into, counts }) => {
    times(count, () => void hook.take(into));
    if (counts) hook.make(TOP);
  },
  'turning-chain': (hook, { counts }) => {
    if (counts) hook.make(TOP);
  },
  'last-in-top': (hook) => hook.wasTop(),
  chain: (hook, { chains, spans, as }) => {
    if (as === 'space') hook.make({ kind: 'space', columns: spans });
    else hook.make(CHAIN, chains);
  },
  crossed: (hook, { times: count }) => {
    times(2 * count, () => {
      hook.take('stitch');
      hook.make(STITCH);
    });
  },
  wrapped: (hook, { times: count }) => {
    if (hook.made.length === 0) throw new Fault('wraps a stitch round one that is not there');
    hook.make(STITCH, count);
  },
  loop: (hook, { closes }) => {
    if (closes === 'same-stitch' && hook.made.length === 0) throw new Fault('a loop with no stitch to close into');
  },
  'other-side': (hook, { chains }) => hook.refill(chains),
  'next-ring': (hook, { loops }) => hook.goTo(loops),
  'mid-loop': (hook) => hook.beginInLast(),
  'close-loop': (hook, { spans }) => {
    if (hook.made.length === 0) throw new Fault('closes into a first stitch that is not there');
    hook.make({ kind: 'space', columns: spans });
  },
  'chain-across': (hook, { chains }) => hook.append(placesOf(chains, 'chain')),
  'along-sides': (hook, { rows }) => hook.prepend(placesOf(2 * rows, 'row-end')),
  'both-layers': (hook, { times: count }) => {
    times(count, () => hook.takeBoth());
    hook.make(STITCH, count);
  },
  'slip-along': (hook, { times: count }) => times(count, () => void hook.take('stitch')),
  join: (hook, { into }) => {
    if ((hook.made[0]?.kind === 'top') !== (into === 'chain'))
      throw new Fault('joins to what the round did not begin with');
    hook.closeRound();
  },
  anchor: () => undefined,
  leave: (hook, { times: count }) => times(count, () => hook.leave()),
  'own-row': (hook, { stitches }) => {
    times(stitches, () => {
      hook.takeAny();
      hook.make(STITCH);
    });
  },
  repeat: (hook, { of, times: count }) => times(count, () => of.forEach((one) => act(hook, one))),
};

const endsInTop = (instructions: readonly Instruction[]) => instructions.some((one) => one.do === 'last-in-top');

function act(hook: Hook, instruction: Instruction): void {
  (DOING[instruction.do] as (hook: Hook, one: Instruction) => void)(hook, instruction);
}

/**
 * Works a row or round stitch by stitch from its instructions, over the places that are there.
 *
 * @param instructions the same data the written row is worded from
 * @param below the places of the row before, in the order the hook meets them
 * @returns how many columns it makes and which places, or what is wrong: a place missing under the hook, of another
 *   kind than the words say, or left unworked
 */
export function refereeRow(instructions: readonly Instruction[], below: readonly WorkedPlace[]): Ruling {
  const hook = new Hook(below, endsInTop(instructions));
  try {
    instructions.forEach((one) => act(hook, one));
  } catch (error) {
    if (error instanceof Fault) return { ok: false, fault: error.message };
    throw error;
  }
  if (hook.remaining > 0) return { ok: false, fault: `${hook.remaining} left unworked` };
  const made = hook.made.reduce((sum, { columns }) => sum + columns, 0);
  return { ok: true, made, places: hook.made, left: hook.left };
}

/** One movement of a row with the places it was worked into and those it made. */
export interface Traced {
  one: Instruction;
  into: readonly WorkedPlace[];
  made: readonly WorkedPlace[];
}

/** Instructions one time each, repeats written out. */
function singly(instructions: readonly Instruction[]): Instruction[] {
  return instructions.flatMap((one): Instruction[] => {
    if (one.do === 'repeat') return Array.from({ length: one.times }, () => singly(one.of)).flat();
    if (!('times' in one) || one.times === 1) return [one];
    return Array.from({ length: one.times }, () => ({ ...one, times: 1 }));
  });
}

/**
 * Works a row as `refereeRow` does and tells what lies in what, to be drawn.
 *
 * @param below the places of the row before, each an object of its own so that it can be known again
 * @returns nothing where the row cannot be worked over them
 */
export function tracedRow(instructions: readonly Instruction[], below: readonly WorkedPlace[]): Traced[] | null {
  const hook = new Hook(below, endsInTop(instructions));
  try {
    return singly(instructions).map((one) => {
      const [taken, made] = [hook.taken.length, hook.made.length];
      act(hook, one);
      return { one, into: hook.taken.slice(taken), made: hook.made.slice(made) };
    });
  } catch (error) {
    if (error instanceof Fault) return null;
    throw error;
  }
}
