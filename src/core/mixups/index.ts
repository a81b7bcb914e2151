export { checkHarness } from './check';
export { leastCover } from './cover';
export { lineText, readLineText } from './line-text';
export { mixups, toldBy } from './mixups';
export * from './types';
