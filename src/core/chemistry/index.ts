export { sameChargeVolts } from './charge-class';
export { checkChemistry, FIGURE_NAMES } from './check';
export { pointsText, readPoints } from './points-text';
export * from './row';
export { CHEMISTRY_ROWS, rowOfClass, SHIPPED } from './rows';
export { chemistrySaid, restSpan, seriesSaid, voltsSaid } from './said';
