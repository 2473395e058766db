import { TERN_POINT } from '../../demo';
import { leanAfter } from '../../craft/counts';
import type { Plan } from '../../plan/plan';
import { reckon } from '../../reckon/reckon';
import { runsOnPiece } from '../../reckon/asRepeated';
import { workOut } from '../../reckon/build';
import { countingAids } from './aids';

const sling = Object.values(TERN_POINT.plans).find(({ title }) => title.includes('flask sling'))!;
const runs = [
  { name: 'kelp', stitches: 14 },
  { name: 'sand', stitches: 12 },
  { name: 'tide', stitches: 9 },
];
const repeating: Plan = { ...sling, fabric: { ...sling.fabric, yarn: { ...sling.fabric.yarn!, runs } } };

describe('what helps to count a course', () => {
  it('of a repeating yarn are its colours, stitch by stitch as they are drawn', () => {
    const grid = runsOnPiece(repeating, workOut(repeating))!;
    for (const row of [1, 5, 20]) {
      const { colours } = countingAids(repeating, row, 10);
      // drawn from the left where the round has leant to, and worked from the right
      const line = grid[row - 1]!.map((run) => runs[run]!.name);
      const leant = leanAfter(row - 1) % line.length;
      const drawn = [...line.slice(leant), ...line.slice(0, leant)].reverse();
      expect(colours.flatMap(({ name, stitches }) => Array.from({ length: stitches }, () => name))).toEqual(drawn);
    }
  });

  it('adds up to the course, and is nothing for a yarn of one colour', () => {
    const [piece] = reckon(repeating).pieces;
    const last = countingAids(repeating, piece!.rows, 10).colours;
    expect(last.reduce((sum, { stitches }) => sum + stitches, 0)).toBe(piece!.roundCounts!.at(-1));
    expect(countingAids(sling, 3, 10).colours).toEqual([]);
  });

  it('parts what is long by markers, the last stitch left to itself', () => {
    expect([60, 119, 120, 150, 151, 500].map((stitches) => countingAids(sling, 1, stitches).markers)).toEqual([
      0, 0, 2, 2, 3, 9,
    ]);
  });

  it('says that a yarn is dark where its colour is known', () => {
    const in_ = (hex?: string): Plan => {
      const { hex: _, colour: _c, ...yarn } = sling.fabric.yarn!;
      return {
        ...sling,
        palette: {},
        fabric: { ...sling.fabric, yarn: { ...yarn, name: 'cord', ...(hex ? { hex } : {}) } },
      };
    };
    expect([in_('#1A2430'), in_('#E9D8A6'), in_()].map((plan) => countingAids(plan, 1, 10).isDark)).toEqual([
      true,
      false,
      false,
    ]);
  });
});
