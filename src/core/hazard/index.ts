export { chargeHolds, chargeOf, workOf } from './charge';
export { firstLeadOf, partFirst, signalLeads } from './first-lead';
export * from './gates';
