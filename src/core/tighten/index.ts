export { type TightenPass, type TightenRequest, tighten } from './tighten';
