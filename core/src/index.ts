/**
 * What the core gives to those outside it, by part. Forms and checks stand in `formats`, the sample data in `demo`.
 */
export {
  type ChoicesField,
  type Field,
  type FieldValue,
  type FieldValues,
  formatLength,
  formatLengthNumber,
  formatNumber,
  formatSigned,
  hiddenIn,
  isBlank,
  withArticle,
  lengthFault,
  type LengthField,
  lengthReading,
  type LengthUnit,
  type Lines,
  LONGEST_MM,
  numberFault,
  type NumberField,
  parseLength,
  unitDoubt,
  plural,
  readNumber,
  tapeTicks,
  type Tick,
  upTo,
  withDefaults,
  withoutHidden,
  withUnit,
} from './units';
export {
  type Advice,
  chosen,
  type Figure,
  type Kind,
  type PlanFault,
  PlanProblem,
  prior,
  type Term,
  type Unit,
} from './figure';
export {
  blankDraft,
  carrierDefinition,
  CARRIERS,
  type CarrierSpec,
  DEFAULT_METHOD,
  draftOf,
  type LinesDraft,
  type Measure,
  memberKinds,
  type Method,
  METHODS,
  mixedUp,
  outlineOf,
  readDraft,
  type ReadDraft,
  sizesOf,
  type Sketch,
  thingDefinition,
  type ThingDefinition,
  type ThingDraft,
  type ThingEntry,
  thingIfWhole,
  type ThingOutline,
  THINGS,
  type ThingSpec,
  usualMethod,
} from './things';
export {
  BASES,
  type ChartSymbol,
  countMeasures,
  CROSS,
  estimateSizes,
  fabricFromSwatch,
  fabricIfMeasured,
  type BandSpec,
  type FabricSpec,
  type GaugeMeasure,
  type GaugeSpec,
  type Hand,
  handFrom,
  isOfAnotherStitch,
  post,
  sameCountsOn,
  baseStitch,
  stitchDefinition,
  STITCHES,
  stitchPattern,
  swatchOf,
  type SwatchState,
  WIDTH_SPREAD,
  withStitch,
  withSwatch,
  type WorkedFabric,
  workFabric,
  CATEGORIES,
  yarnDiameter,
  type YarnSpec,
} from './fabric';
export { fitDefinition, type FitName, FITS, type FitSpec, type Help } from './fit';
export {
  type Choice,
  type ChoiceOption,
  type Cloth,
  type ClothRole,
  type Dimension,
  type Drive,
  type BorderPart,
  type Part,
  type Section,
  shapeDefinition,
  type ShapeDefinition,
  SHAPES,
  type View,
} from './shapes';
export {
  belongsOn,
  figureName,
  fittingDefinition,
  type FittingDefinition,
  FITTINGS,
  fittingsOn,
  type FittingSpec,
  giverOf,
  whyNotOn,
} from './fittings';
export { type Schools, type Step, term } from './pattern';
export {
  foldMake,
  madeUncounted,
  stepsToMake,
  type MakingStep,
  type Happening,
  isFinished,
  type KeptEvent,
  type Make,
  MAKE_FORMAT,
  type MakeEvent,
  type MakeState,
  nextCount,
  type StepPlace,
  tapeOf,
} from './making';
export { type Caution } from './cautions';
export { type Plan, PLAN_FORMAT } from './plan';
export { FIRST_FABRIC, planFor } from './newPlan';
export { proposalsFor, shapeTaking, type Proposal } from './proposals';
export { thingInChains, type ThingForm } from './things';
export { withFitting } from './withFitting';
export { sectionWord } from './drawing';
export { withShape } from './withShape';
export { applyChange } from './change';
export { type PickedPlan, reckon, reckonPicks, type Worked, WORKED_FORMAT, type WorkedPiece } from './reckon';
export { chance, type Chance } from './chance';
export { type Way, ways, type Ways, type WaysAsk } from './ways';
export { workOut } from './workOut';
