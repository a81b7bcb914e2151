export { recipeOf, toolOf } from './recipe';
export { FLIP_MINUTES, TOOL_MINUTES, type WayIn, wayIn } from './way-in';
