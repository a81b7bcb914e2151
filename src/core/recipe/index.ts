export { type Alternative, alternatives } from './alternatives';
export { withWayIn } from './kept';
export { type Kit, kitOf } from './kit';
export { recipeMove } from './matched';
export { recipeOf, toolOf } from './recipe';
export { type Doing, overlapped, type Spent, spend } from './spend';
export { type WayHome, wayHome } from './way-home';
export { FLIP_MINUTES, minutesOf, TOOL_MINUTES, type WayIn, wayIn } from './way-in';
