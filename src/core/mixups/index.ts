export { leastCover } from './cover';
export { mixups, toldBy } from './mixups';
export * from './types';
