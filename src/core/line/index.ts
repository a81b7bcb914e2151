export { COVER_NOUNS } from './covers';
export { DRIVES, type DriveFamily } from './drives';
export type { Doubtful, LineEntry, LineRead, Span } from './entry';
export { NAMED_KINDS, type Named, type NamedKind, nearest } from './names';
export { PLACE_KINDS, type Place, type PlaceKind } from './place';
export { printEntry } from './print';
export { readText } from './read';
export { THING_KINDS, type ThingKind, takesOff, VERBS } from './verbs';
