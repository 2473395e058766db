import { stitchPattern, yarnDiameter, workOut, type Measure, type Plan } from '@keep-snug/core';
import calculate from 'xlsx-calc';

interface Cell {
  v?: number;
  f?: string;
}

/** The formulas of a folded strip as a maker would put them into a spreadsheet. */
export function stripInSheet(plan: Plan): { run: () => { stitches: number; rows: number } } {
  const mm = (key: string) => (plan.thing[key] as Measure | undefined)?.mm ?? 0;
  const { fabric } = workOut(plan);
  const overlap = Number(plan.fittings?.find(({ kind }) => kind === 'flap')?.overlapMm ?? mm('height') / 3);
  const thickness = stitchPattern(plan.fabric.stitch).factors.thickness * yarnDiameter(plan.fabric.yarn).value;
  const given: Record<string, number> = {
    A1: mm('width'),
    A2: mm('height'),
    A3: mm('depth'),
    A4: mm('edgeRadius'),
    A5: fabric.stitchWidth.value,
    A6: fabric.rowHeight.value,
    A7: thickness,
    A8: 0.01,
    A9: 2,
    A10: overlap,
  };
  const formulas: Record<string, string> = {
    B1: '2*(A1+A3)-(8-2*3.14159265358979)*A4',
    B2: 'B1*(1+A8)+3.14159265358979*A7',
    B3: 'ROUND(B2/2/A5,0)',
    B4: 'A3/2+3.14159265358979*A7/4',
    B5: 'ROUND((A2+A9+B4)/A6,0)',
    B6: 'ROUND((A2+A9+B4+A2+B4)/A6,0)',
    B7: 'ROUND((A2+A9+B4+A2+B4+B9)/A6,0)',
    B8: 'ROUND((A2+A9+B4+A2+B4+B9+A10)/A6,0)',
    B9: '3.14159265358979*A7/2+SQRT(A3*A3+A9*A9)+A7',
  };
  const sheet: Record<string, Cell | string> = { '!ref': 'A1:B10' };
  for (const [cell, v] of Object.entries(given)) sheet[cell] = { v };
  for (const [cell, f] of Object.entries(formulas)) sheet[cell] = { f };
  const book = { Sheets: { Strip: sheet } };
  return {
    run: () => {
      calculate(book);
      return { stitches: (sheet.B3 as Cell).v!, rows: (sheet.B8 as Cell).v! };
    },
  };
}
