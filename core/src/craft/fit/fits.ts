export type FitName = 'grips' | 'snug' | 'slides' | 'roomy';

export interface FitDefinition {
  id: FitName;
  name: string;
  meantFor: string;
  /** Girth ease as a fraction, and the least it may be in mm. */
  girth: { fraction: number; leastMm: number };
  /** How far the cover reaches past the thing, mm. */
  coverMm: number;
  /** How much of the fabric's stretch getting the thing in may use. */
  useOfStretch: number;
  /** The same where it is narrowest, over no more than 30 mm (handbook 2.1). */
  useAtNarrowest: number;
  /** How much larger than the thing the inside may be before it falls out, as a fraction. */
  slack: number;
  /** Which error hurts more. */
  hurts: 'small' | 'large';
}

/** The four fits (prior, handbook 3); a typed ease overrides what a fit asks. */
export const FITS: readonly FitDefinition[] = [
  {
    id: 'grips',
    name: 'grips',
    meantFor: 'held by stretch, no closure',
    girth: { fraction: -0.06, leastMm: -Infinity },
    coverMm: 0,
    useOfStretch: 1,
    useAtNarrowest: 1,
    slack: 0,
    hurts: 'large',
  },
  {
    id: 'snug',
    name: 'snug',
    meantFor: 'held by a flap or drawstring',
    girth: { fraction: 0.01, leastMm: -Infinity },
    coverMm: 2,
    useOfStretch: 0.5,
    useAtNarrowest: 0.5,
    slack: 0.06,
    hurts: 'small',
  },
  {
    id: 'slides',
    name: 'slides',
    meantFor: 'in and out all day',
    girth: { fraction: 0.04, leastMm: 4 },
    coverMm: 5,
    useOfStretch: 0,
    useAtNarrowest: 0.25,
    slack: 0.12,
    hurts: 'small',
  },
  {
    id: 'roomy',
    name: 'roomy',
    meantFor: 'several small things, gifts, soap',
    girth: { fraction: 0.12, leastMm: 12 },
    coverMm: 10,
    useOfStretch: 0,
    useAtNarrowest: 0,
    slack: Infinity,
    hurts: 'small',
  },
];

/** The fit of a name. */
export function fitDefinition(id: FitName): FitDefinition {
  return FITS.find((fit) => fit.id === id) as FitDefinition;
}
