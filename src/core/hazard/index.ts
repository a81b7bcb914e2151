export { chargeHolds, chargeOf, metalIn, workOf } from './charge';
export { firstLeadOf, type LeadsNow, leadsUnknown, partFirst, plugFirst } from './first-lead';
export * from './gates';
export { belongsTo, folded, isPackItself, leadsOf, type PackLeads, saysPack } from './pack-leads';
