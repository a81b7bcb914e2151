export { checkHarness } from './check';
export { leastCover } from './cover';
export { type MixupGroup, mixupGroups } from './groups';
export { lineText, readLineText } from './line-text';
export { choiceBy, mixups } from './mixups';
export { type PictureWanted, picturesWanted } from './pictures';
export * from './types';
