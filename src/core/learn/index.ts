export { type LearnedWeight, learnedWeight, learnedWeights, PRIOR_FAULTS } from './weights';
