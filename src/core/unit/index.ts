export { type CheckHow, deriveChecks, hazardsOf, type MapCheck } from './checks';
export { cone } from './cone';
export { type DescribedRow, type Description, describeUnit } from './describe';
export { HAZARD_RECIPES, type HazardRecipe, hazardOfKind } from './hazard-kinds';
export { KIND_DEFAULTS, ladderFor } from './ladders';
export * from './map';
export { formatReading, judgeReading, parseReading, type Verdict } from './reading';
export { validateMap } from './validate';
