import { formatDifference, reckon } from '@keep-snug/core';
import { TERN_POINT } from '@keep-snug/core/demo';
import { fitStage } from './FitStage';
import type { Say } from './definition';

const say = { difference: (mm: number, sd: number) => formatDifference(mm, sd, 'mm') } as Say;
const lineOf = (title: string) => {
  const plan = Object.values(TERN_POINT.plans).find((one) => one.title === title)!;
  return fitStage.summary(plan, reckon(plan), say);
};

describe('the fit in one line', () => {
  it('says what was asked, and what asks for the rest, where counts come out far from it', () => {
    expect(lineOf('Wash house soap bag')).toMatch(
      /^roomy, \+30 % around, .*; \+12 % asked, the rest is an even number of holes/,
    );
    expect(lineOf('Hide-rail caddy')).toMatch(/; \+4 % asked, the rest is 60 or more for \d pockets side by side$/);
  });

  it('says one share where they are the same', () => {
    expect(lineOf('Field phone pouch')).not.toContain('asked');
  });
});
