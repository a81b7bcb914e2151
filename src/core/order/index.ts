export { order } from './order';
export type { OrderAnswer, OrderMove, OrderRequest, Way } from './types';
