export { type CostAnswer, type CostRequest, type CostRung, expectedCost } from './expected';
export { ALTERNATIVES, type Alternative, priceOf, type QuoteLine } from './quote';
