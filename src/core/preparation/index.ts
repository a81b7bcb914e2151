export { PREPARATIONS, type PreparationLine, plugsOf, preparationsFor } from './lines';
