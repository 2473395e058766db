import fc from 'fast-check';
import { anyFormed } from '../../plan/fixtures/anyForm';
import type { Plan } from '../../plan/plan';
import { attempted } from '../../base/figure';
import { reckon } from '../../reckon/reckon';
import type { Happening, KeptEvent, MakingStep } from '../log';
import { stepsToMake } from '../log';
import { mend, type MendChoice, type Mended } from './mend';

/** What a maker's tape says: which way it is laid, whether the count is told, and how far off the hand is. */
interface Taped {
  what: 'stitches' | 'rows' | 'width' | 'height';
  counted: boolean;
  /** Steps worked before it. */
  many: number;
  /** Which of the ways to go on is taken, as a share of them. */
  takes: number;
}

const anyTaped: fc.Arbitrary<Taped> = fc.record({
  what: fc.constantFrom('stitches' as const, 'rows' as const, 'width' as const, 'height' as const),
  counted: fc.boolean(),
  many: fc.integer({ min: 1, max: 22 }),
  takes: fc.double({ min: 0, max: 0.999, noNaN: true }),
});

const anyHand = fc.record({
  wide: fc.double({ min: 0.88, max: 1.12, noNaN: true }),
  tall: fc.double({ min: 0.85, max: 1.15, noNaN: true }),
});

class Maker {
  readonly events: KeptEvent[] = [];
  private decided: string | null = null;

  constructor(
    private readonly plan: Plan,
    private readonly hand: { wide: number; tall: number },
  ) {}

  private happened(what: Happening): void {
    const n = this.events.length + 1;
    this.events.push({ id: `e${String(n).padStart(4, '0')}`, make: 'm', device: 'd', at: '', n, ...what });
  }

  /** Works on, lays the tape, and takes one of the ways. */
  goesOn({ what, counted, many, takes }: Taped): { mended: Mended; choice: MendChoice | undefined } | undefined {
    const { worked, state } = mend(this.plan, this.events);
    const done = new Set(state.done);
    const next = stepsToMake(worked.steps).filter(({ id }) => !done.has(id));
    for (const { id } of next.slice(0, many)) this.happened({ kind: 'ticked', step: id, under: this.decided });
    const last = next
      .slice(0, many)
      .filter(({ row }) => row !== null)
      .at(-1);
    if (!last) return undefined;
    this.tape(what, counted, last, worked);
    const mended = mend(this.plan, this.events);
    const choice = mended.choices[Math.floor(takes * mended.choices.length)];
    if (!choice || choice.id === 'carry-on') return { mended, choice: undefined };
    this.decided = `e${String(this.events.length + 1).padStart(4, '0')}`;
    this.happened({ kind: 'decided', choice: choice.id, from: choice.from, plan: choice.plan });
    return { mended, choice };
  }

  private tape(what: Taped['what'], counted: boolean, last: MakingStep, { pieces }: Mended['worked']): void {
    const piece = pieces.find(({ id }) => id === last.piece)!;
    const across = what === 'stitches' || what === 'width';
    const mm = across ? piece.width.value * this.hand.wide : (last.heightMm ?? 1) * this.hand.tall;
    this.happened({
      kind: 'measured',
      piece: piece.id,
      what,
      ...(counted ? { count: across ? piece.stitches : last.row! } : {}),
      mm: Math.max(1, Math.round(mm)),
      by: 'tape',
      atStep: last.id,
    });
  }
}

it('whoever measures anything anywhere and takes any way is answered, and what was worked keeps its words', () => {
  fc.assert(
    fc.property(anyFormed, anyHand, fc.array(anyTaped, { minLength: 1, maxLength: 6 }), (plan, hand, tapes) => {
      fc.pre(attempted(() => reckon(plan)) !== undefined);
      const maker = new Maker(plan, hand);
      for (const taped of tapes) {
        const went = maker.goesOn(taped);
        if (!went) continue;
        const { mended, choice } = went;
        expect(mended.choices.length > 0 || mended.unread !== null).toBe(true);
        const now = mend(plan, maker.events);
        if (!choice || choice.from) continue;
        const texts = new Map(now.worked.steps.map(({ id, text }) => [id, text]));
        const { done } = mended.state;
        for (const { id, text } of mended.worked.steps)
          if (done.includes(id)) expect(unnamed(texts.get(id) ?? '')).toBe(unnamed(text));
      }
    }),
    { numRuns: Number(process.env.RUNS ?? 40) },
  );
});

/** A step without the name of its yarn. */
const unnamed = (text: string): string => text.replace(/^With [^:]+: /, '');
