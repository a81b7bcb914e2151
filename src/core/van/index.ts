export { type VanAnswer, type VanItem, type VanRequest, van } from './van';
