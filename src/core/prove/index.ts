export { bestTest, type ClosingMove, type ProveAnswer, type ProveRequest } from './places';
