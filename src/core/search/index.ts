export type { Found } from './found';
export { type Asked, readQuery } from './query';
