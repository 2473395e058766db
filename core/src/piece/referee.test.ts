import fc from 'fast-check';
import { PlanProblem } from '../base/figure';
import type { Instruction } from '../craft/fabric';
import { refereePiece } from '../pattern/refereePiece';
import { reckon } from '../reckon/reckon';
import type { Plan } from '../plan/plan';
import {
  backwards,
  borderCount,
  OPPOSITE,
  placesIn,
  turnedLies,
  reversed,
  type Border,
  type Fold,
  type Piece,
  type Seam,
  type Span,
  type Stretch,
  type Work,
} from './index';
import { workFaults } from './referee';
import { workOut } from '../reckon/build';
import { anyWork } from './fixtures/anyWork';
import { allPieces, workOf } from '../reckon/steps';

interface Made {
  plan: Plan;
  works: Work[];
  pieces: Piece[];
}

function workedOrSkipped(plan: Plan): Made {
  try {
    const out = workOut(plan);
    const pieces = allPieces(out);
    reckon(plan);
    return { plan, works: workOf(out), pieces };
  } catch (error) {
    if (!(error instanceof PlanProblem)) throw error;
    fc.pre(false);
    throw error;
  }
}

function reckonOrSkip(plan: Plan): ReturnType<typeof reckon> {
  try {
    return reckon(plan);
  } catch (error) {
    if (!(error instanceof PlanProblem)) throw error;
    fc.pre(false);
    throw error;
  }
}

describe('the work of every shape', () => {
  it('is found without fault from the first chain to the last loop', () => {
    fc.assert(
      fc.property(anyWork, (plan) => {
        const { works, pieces } = workedOrSkipped(plan);
        expect(workFaults(works, pieces)).toEqual([]);
      }),
      { numRuns: Number(process.env.RUNS ?? 150) },
    );
  });

  it('has its places as data: no sentence types beside them how far in or down anything is', () => {
    fc.assert(
      fc.property(anyWork, (plan) => {
        for (const work of workedOrSkipped(plan).works)
          if (work.do === 'sew' || work.do === 'fill')
            expect(work.says).not.toMatch(/\} (below|above|in from|from both)|between stitch \d/);
      }),
      { numRuns: 100 },
    );
  });

  it('is told as it was walked: every step has words, and its count is that of its stitches', () => {
    fc.assert(
      fc.property(anyWork, (plan) => {
        const made = workedOrSkipped(plan);
        const { steps } = reckon(plan);
        const borders = made.works.filter((work): work is Border => work.do === 'border');
        const counts = steps.filter(({ kind, ends }) => kind === 'assembly' && ends !== null).map(({ ends }) => ends);
        expect(counts).toEqual(borders.map(borderCount));
        expect(new Set(steps.map(({ id }) => id)).size).toBe(steps.length);
        for (const { text } of steps) expect(text.length).toBeGreaterThan(5);
        for (const { text } of steps) expect(text).not.toMatch(/undefined|NaN|[{}]|(?:^|[;.,] ): /);
      }),
      { numRuns: 60 },
    );
  });
});

function spliced<T>(list: readonly T[], at: number, gone: number, ...more: T[]): T[] {
  return [...list.slice(0, at), ...more, ...list.slice(at + gone)];
}

/** Ways in which told work can be wrong. */
const MUTATIONS: Record<string, (works: readonly Work[], pick: (below: number) => number) => Work[] | undefined> = {
  'a step dropped': (works, pick) => {
    const at = pick(works.length);
    const work = works[at]!;
    // what stands by itself may as well be left out: a tassel, a loop joined on, a line sewn
    const alone =
      (work.do === 'sew' && work.what === undefined) ||
      (work.do === 'free' && (work.from !== undefined || work.onward));
    return alone ? undefined : spliced(works, at, 1);
  },
  'two steps swapped': (works, pick) => {
    const at = pick(works.length - 1);
    // a fold may as well be made before the loop is fastened off, and seams have no order
    if (![works[at]!, works[at + 1]!].some((work) => work.do === 'make' || work.do === 'border')) return undefined;
    return spliced(works, at, 2, works[at + 1]!, works[at]!);
  },
  'a step done twice': (works, pick) => {
    const at = pick(works.length);
    // to mark a place again, or to look for ends once more, does no harm
    if (works[at]!.do === 'mark' || works[at]!.do === 'weave-in') return undefined;
    return spliced(works, at, 0, works[at]!);
  },
  'a start moved': (works, pick) =>
    onBorder(works, pick, ({ path, ...border }) => {
      // what is worked anew along one layer, there and not around, may begin anywhere on it
      const free = !border.closed && path.every(({ spans }) => spans.length === 1);
      return path.length > 1 && !free && { ...border, path: path.slice(1) };
    }),
  'a count one off': (works, pick) =>
    onStretch(works, pick, (stretch) => !stretch.corner && { ...stretch, stitches: stretch.stitches + 1 }),
  'a place too many': (works, pick) =>
    onStretch(works, pick, (stretch) => {
      const [a, ...others] = stretch.spans;
      const longer = { ...a, to: a.to + Math.sign(a.to - a.from || 1) };
      return !stretch.corner && { ...stretch, spans: [longer, ...others] };
    }),
  'a tail cut short': (works, pick) => {
    const leaves = works.flatMap((work, index) => (work.do === 'make' || work.do === 'fasten-off' ? [index] : []));
    const at = leaves[pick(leaves.length)]!;
    return spliced(works, at, 1, { ...works[at]!, leave: 50 } as Work);
  },
  'a layer laid the other way': (works) =>
    onFold(works, (fold) => {
      const [[a, b], ...others] = fold.lays as [[Span, Span]];
      const edge = b.edge.includes('left') ? b.edge.replace('left', 'right') : b.edge.replace('right', 'left');
      return edge !== b.edge && { ...fold, lays: [[a, { ...b, edge }], ...others] };
    }),
  'the wrong sides outside': (works) => onFold(works, (fold) => ({ ...fold, inside: 'right' })),
  'a way turned': (works, pick) =>
    onBorder(works, pick, ({ path, ...border }) => {
      // one place alone may be met from either side
      const runs = path.some(({ spans: [{ from, to }] }) => from !== to);
      return runs && { ...border, path: reversed(path) };
    }),
  'the other side facing': (works, pick) =>
    onBorder(works, pick, ({ side, path, ...border }) => {
      const runs = path.some(({ spans: [{ from, to }] }) => from !== to);
      return runs && { ...border, path, ...(side ? {} : { side: 'wrong' as const }) };
    }),
  'two steps of the needle swapped': (works, pick) => {
    const layers = (work: Work) =>
      ('layers' in work && work.layers) || (work.do === 'sew' && work.open && work.what ? 'open' : undefined);
    const needle = works.flatMap((work, index) => (layers(work) ? [index] : []));
    const [a, b] = [needle[pick(Math.max(1, needle.length))], needle[pick(Math.max(1, needle.length))]];
    if (a === undefined || b === undefined || a >= b) return undefined;
    const pair = `${layers(works[a]!)} ${layers(works[b]!)}`;
    if (!['front inside', 'inside mouth', 'both front', 'open both'].includes(pair)) return undefined;
    const swapped = [...works];
    [swapped[a], swapped[b]] = [works[b]!, works[a]!];
    return swapped;
  },
  'a foot moved by one': (works, pick) =>
    onBorder(works, pick, ({ path, ...border }) => {
      const [first, ...rest] = path as [Stretch, ...Stretch[]];
      const [a, b] = first.spans;
      const foot = border.id === 'tongue-end' && b;
      return (
        !!foot && { ...border, path: [{ ...first, spans: [a, { ...b, from: b.from + 1, to: b.to + 1 }] }, ...rest] }
      );
    }),
  'a side said wrongly': (works, pick) =>
    onStretch(works, pick, ({ lies, ...stretch }) => {
      const runs = placesIn(stretch.spans[0]) > 1 && lies.side !== undefined;
      return runs && { ...stretch, lies: { ...lies, side: OPPOSITE[lies.side!] } };
    }),
  'a way said wrongly': (works, pick) =>
    onStretch(works, pick, ({ lies, ...stretch }) => {
      const runs = placesIn(stretch.spans[0]) > 1 && lies.side !== undefined;
      return runs && { ...stretch, lies: turnedLies(lies) };
    }),
  'a join said at the other side': (works, pick) =>
    onBorder(works, pick, ({ path: [first, ...rest], ...border }) => {
      const [begins, ends] = first!.between ?? [];
      const live = ['make', 'change', 'border'].includes(
        works[works.findIndex((work) => work.do === 'border' && work.id === border.id) - 1]?.do ?? '',
      );
      if (!begins || !ends || live || border.from || !('side' in begins) || placesIn(first!.spans[0]) === 1)
        return false;
      if (!begins.side || !/left|right|last|foundation/.test(first!.spans[0].edge)) return false;
      return { ...border, path: [{ ...first!, between: [{ ...begins, side: OPPOSITE[begins.side] }, ends] }, ...rest] };
    }),
  'a mark moved by one': (works) => {
    const at = works.findIndex((work) => work.do === 'mark');
    const work = works[at];
    if (work?.do !== 'mark') return undefined;
    const [first, ...others] = work.rows;
    return spliced(works, at, 1, {
      ...work,
      rows: [{ ...first!, after: first!.after.map((count) => count + 1) }, ...others],
    });
  },
  'a line beside the columns': (works, pick) => {
    const sewn = works.flatMap((work, index) => (work.do === 'sew' && work.lines ? [index] : []));
    const at = sewn[pick(Math.max(1, sewn.length))];
    const work = at === undefined ? undefined : works[at];
    if (work?.do !== 'sew' || !work.lines) return undefined;
    const { of, between, ...lines } = work.lines;
    return spliced(works, at!, 1, { ...work, lines: { ...lines, of, between: [...between.slice(1), of] } });
  },
  'a place off its face': (works, pick) => {
    const placed = works.flatMap((work, index) =>
      work.do === 'sew' || work.do === 'fill' ? (work.at ? [index] : []) : [],
    );
    const at = placed[pick(Math.max(1, placed.length))];
    const work = at === undefined ? undefined : works[at];
    if (!work || (work.do !== 'sew' && work.do !== 'fill')) return undefined;
    const [spot] = work.at!;
    const moved = {
      ...spot!,
      ...(spot!.below === undefined ? { above: spot!.of.high + 9 } : { below: spot!.of.high + 9 }),
    };
    return spliced(works, at!, 1, { ...work, at: [moved] });
  },
  'a colour dropped': (works, pick) => {
    const changes = works.flatMap((work, index) => (work.do === 'change' ? [index] : []));
    return changes.length > 0 ? spliced(works, changes[pick(changes.length)]!, 1) : undefined;
  },
  'another colour': (works, pick) =>
    onBorder(works, pick, ({ colour, ...border }) => {
      const at = works.findIndex((work) => work.do === 'border' && work.id === border.id);
      // what is joined anew may be of any
      const live = ['make', 'change', 'border'].includes(works[at - 1]?.do ?? '');
      return colour !== undefined && live && { ...border, colour: `not ${colour}` };
    }),
  'another edge': (works, pick) =>
    onStretch(works, pick, (stretch) => {
      const [a, ...others] = stretch.spans;
      const other = { ...a, edge: a.edge.endsWith('left') ? 'right' : 'left' };
      return { ...stretch, spans: [other, ...others] };
    }),
};

function onFold(works: readonly Work[], change: (fold: Fold) => Fold | false): Work[] | undefined {
  const at = works.findIndex((work) => work.do === 'fold');
  const work = works[at];
  const changed = work?.do === 'fold' && change(work.fold);
  return changed ? spliced(works, at, 1, { do: 'fold', fold: changed }) : undefined;
}

function onBorder(
  works: readonly Work[],
  pick: (below: number) => number,
  change: (border: Border) => Border | false,
): Work[] | undefined {
  const at = works.flatMap((work, index) => (work.do === 'border' ? [index] : []));
  if (at.length === 0) return undefined;
  const index = at[pick(at.length)]!;
  const changed = change(works[index] as Border);
  return changed ? spliced(works, index, 1, changed) : undefined;
}

const onStretch = (
  works: readonly Work[],
  pick: (below: number) => number,
  change: (stretch: Stretch) => Stretch | false,
) =>
  onBorder(works, pick, (border) => {
    const index = pick(border.path.length);
    const changed = change(border.path[index]!);
    return changed && { ...border, path: spliced(border.path, index, 1, changed) };
  });

it('what is told wrongly is refused, 97 times in 100', () => {
  let told = 0;
  const survivors = new Map<string, number>();
  fc.assert(
    fc.property(anyWork, fc.constantFrom(...Object.keys(MUTATIONS)), fc.nat(), (plan, name, salt) => {
      const { works, pieces } = workedOrSkipped(plan);
      let turn = salt;
      const wrong = MUTATIONS[name]!(works, (below) => (turn = (turn * 7 + 3) % 1_000_003) % below);
      fc.pre(wrong !== undefined);
      told += 1;
      // row ends take any count of stitches: how many is the law's to say, and is held where it is told
      if (workFaults(wrong!, pieces).length === 0) survivors.set(name, (survivors.get(name) ?? 0) + 1);
    }),
    { numRuns: Number(process.env.RUNS ?? 1000) },
  );
  const survived = [...survivors.values()].reduce((sum, count) => sum + count, 0);
  const refused = { told: told > 100, share: survived / told <= 0.03 };
  expect({ ...refused, survivors: Object.fromEntries(survivors) }).toEqual({
    told: true,
    share: true,
    survivors: expect.any(Object),
  });
});

/** A row told to end in a chain that is not there, or not told of the one that is. */
it('a chain that is counted wrongly is refused, 97 times in 100', () => {
  const drawn = anyWork.map((plan) => ({ ...plan, schools: { ...plan.schools, turningChainCounts: true } }));
  let [told, survived] = [0, 0];
  fc.assert(
    fc.property(drawn, fc.nat(), (plan, salt) => {
      const { steps } = reckonOrSkip(plan);
      const rows = steps.flatMap(({ kind, work, turned }, index) => (kind === 'row' && work && turned ? [index] : []));
      fc.pre(rows.length > 0);
      const at = rows[salt % rows.length]!;
      const { work, piece } = steps[at]!;
      const ends = work!.at(-1)!.do === 'last-in-top';
      const wrong: Instruction[] = ends ? work!.slice(0, -1) : [...work!, { do: 'last-in-top' }];
      told += 1;
      if (refereePiece(spliced(steps, at, 1, { ...steps[at]!, work: wrong }), piece).faults.length === 0) survived += 1;
    }),
    { numRuns: Number(process.env.RUNS ?? 300) },
  );
  expect(told).toBeGreaterThan(50);
  expect(survived / told).toBeLessThanOrEqual(0.03);
});

describe('a hand', () => {
  const plan = (shape: object) => workedOrSkipped({ ...PHONE, shape: { kind: 'strip-across', ...shape } } as Plan);
  const says = (works: readonly Work[], pieces: readonly Piece[]) =>
    workFaults(works, pieces).map((fault) => fault.says);

  it('that is sent elsewhere while its loop is open is told where it is', () => {
    const { works, pieces } = plan({ edging: 1 });
    const edging = works.find((work): work is Border => work.do === 'border')!;
    const moved = { ...edging, path: [...edging.path.slice(2), ...edging.path.slice(0, 2)] };
    expect(says(spliced(works, works.indexOf(edging), 1, moved), pieces)[0]).toMatch(
      /^edging begins at .*, and the hook is at/,
    );
  });

  it('never joins what does not lie on each other', () => {
    const { works, pieces } = plan({});
    const unfolded = works.filter((work) => work.do !== 'fold');
    expect(says(unfolded, pieces)).toContain(
      'join-right, through both layers, up the {side:right} side: the edges do not lie on each other',
    );
  });

  it('does not work where it has worked already, nor leave a loop open', () => {
    const { works, pieces } = plan({ edging: 2 });
    const edging = works.find((work) => work.do === 'border')!;
    expect(says([...works.slice(0, 2), edging, ...works.slice(2)], pieces)).toContainEqual(
      expect.stringMatching(/covered already/),
    );
    const last = works.map((work) => work.do).lastIndexOf('fasten-off');
    expect(says(spliced(works, last, 1), pieces)).toContain('the last loop is left open');
  });

  it('sews a side with the tail that hangs at its top, and cuts no tail too short for it', () => {
    const flapped = { ...PHONE, shape: { kind: 'strip-across', join: 'whip' }, fittings: [{ kind: 'flap' }] } as Plan;
    const { works, pieces, plan: sewn } = workedOrSkipped(flapped);
    const seams = works.filter((work) => work.do === 'seam');
    const [down] = seams.filter(({ tail }) => tail?.name === 'body:start') as [Seam];
    expect(seams.filter(({ tail }) => !tail)).toHaveLength(1);
    const { leave = 0 } = works.find((work) => work.do === 'make')!;
    expect(leave).toBeGreaterThanOrEqual(3 * down.mm);
    const { steps } = reckon(sewn);
    expect(steps[0]!.text).toMatch(/^Leave a tail of \d+ mm to sew with\. Chain/);
    const short = works.map((work): Work => (work.do === 'make' ? { ...work, leave: leave - 100 } : work));
    expect(says(short, pieces)[0]).toMatch(/^body:start is \d+ mm long, and \d+ mm are sewn with it$/);
    const elsewhere = works.map((work): Work =>
      work === down ? { ...down, spans: down.spans.map(backwards) as [Span, Span] } : work,
    );
    expect(says(elsewhere, pieces)[0]).toMatch(/^body:start hangs at body:left:0, not at /);
  });

  it('weaves in every end, and none that is too short', () => {
    const { works, pieces } = plan({});
    expect(says(works.slice(0, -1), pieces)).toContain('body:start is left hanging');
    const short = works.map((work): Work => (work.do === 'fasten-off' ? { ...work, leave: 30 } : work));
    expect(says(short, pieces)).toContain('body:end of 30 mm is too short to weave in');
  });

  it('joins, sews and edges nothing while the item is inside', () => {
    const button = { fittings: [{ kind: 'flap' }, { kind: 'button-loop' }] };
    const { works, pieces } = workedOrSkipped({ ...PHONE, ...button, shape: { kind: 'strip-across' } } as Plan);
    const empty = works.findIndex((work) => work.do === 'empty');
    expect(says(spliced(works, empty, 1), pieces)).toContain('the thing is still inside');
    const fill = works.findIndex((work) => work.do === 'fill');
    const early = [works[fill]!, works[empty]!];
    const rest = spliced(works, fill, 2);
    const fold = rest.findIndex((work) => work.do === 'fold');
    expect(says(spliced(rest, fold + 1, 0, ...early), pieces)).toContain('body:left is still open');
  });

  it('lays every layer with its right side outside, opening the same way', () => {
    const { works, pieces } = workedOrSkipped({ ...PHONE, shape: { kind: 'two-panels' } } as Plan);
    const turned = onFold(works, (fold) => ({
      ...fold,
      lays: fold.lays.map(([a, b]) => [a, { ...b, edge: b.edge.replace('foundation', 'last') }] as const),
    }))!;
    expect(says(turned, pieces)).toContainEqual(expect.stringMatching(/opens the other way/));
    const inside = onFold(works, (fold) => ({ ...fold, inside: 'right' }))!;
    expect(says(inside, pieces)).toEqual(['panels leaves the wrong side outside']);
  });

  it('goes on in the colour of its loop, or draws another through it first', () => {
    const edged = (fabric: object) =>
      workedOrSkipped({
        ...PHONE,
        fabric: { ...PHONE.fabric, ...fabric },
        shape: { kind: 'packet', edging: 1, edgingColour: 'lime' },
      } as Plan);
    const { works, pieces } = edged({ pieceColours: { body: 'oat' } });
    const change = works.findIndex((work) => work.do === 'change');
    expect(works[change]).toEqual({ do: 'change', to: 'lime' });
    expect(says(spliced(works, change, 1), pieces)).toEqual(['edging is worked in lime, and the loop is of oat']);
    expect(says(spliced(works, change, 0, works[change]!), pieces)).toEqual(['the loop is of lime already']);
    const made = works.findIndex((work) => work.do === 'make');
    const other = spliced(works, made, 1, { ...works[made]!, endsIn: 'lime' } as Work);
    expect(says(other, pieces)[0]).toBe('body ends in oat, not in lime');
    expect(edged({ pieceColours: { body: 'lime' } }).works.some((work) => work.do === 'change')).toBe(false);
  });

  it('sees in each corner of a way one place', () => {
    const { works } = plan({ edging: 1, pass: 'around', join: 'reverse' });
    const corners = works.flatMap((work) => (work.do === 'border' ? work.path.filter(({ corner }) => corner) : []));
    expect(corners).toHaveLength(6);
    for (const { spans } of corners) expect(placesIn(spans[0])).toBe(1);
  });
});

const PHONE = {
  format: 'keep-snug.plan/1',
  title: 'phone',
  thing: { kind: 'slab', width: { mm: 78 }, height: { mm: 164 }, depth: { mm: 14 } },
  fabric: { stitch: 'single', hookMm: 4, yarn: { metresPer100g: 190 }, gauge: {} },
  fit: { name: 'snug' },
  fittings: [],
};

describe('a loop for a button', () => {
  const textsOf = (shape: object, fittings: object[] = []) => {
    const { steps } = reckon({
      ...PHONE,
      shape: { kind: 'strip-across', ...shape },
      fittings: [{ kind: 'flap' }, { kind: 'button-loop' }, ...fittings],
    } as Plan);
    return steps.filter(({ text }) => text.includes('for the loop')).map(({ id }) => id);
  };

  it('sits in the flap’s last row, or in the last border worked along it, and nowhere else', () => {
    expect(textsOf({})).toEqual([expect.stringMatching(/^body-row-/)]);
    expect(textsOf({ edging: 2 })).toEqual(['edging']);
    expect(textsOf({ edging: 2, pass: 'around' })).toEqual(['join-sides']);
    expect(textsOf({ edging: 1 }, [{ kind: 'edging' }])).toEqual(['work-edging']);
  });

  it('has as many stitches left of it as right', () => {
    const out = workOut({
      ...PHONE,
      shape: { kind: 'strip-across', edging: 3 },
      fittings: [{ kind: 'flap' }, { kind: 'button-loop' }],
    } as Plan);
    const border = out.built.assembly
      .flatMap(({ does = [] }) => does)
      .find((work): work is Border => work.do === 'border')!;
    const [{ stitches, loop }] = border.path.filter((stretch) => stretch.loop) as [Stretch];
    const left = loop!.closes === 'same-stitch' ? loop!.after - 1 : loop!.after;
    expect(stitches - loop!.after).toBe(left);
  });
});
