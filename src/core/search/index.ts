export { type Asked, readQuery } from './query';
