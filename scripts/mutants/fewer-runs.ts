/**
 * fast-check as the mutants' tests see it: fewer runs of each property, and the same ones each time, so that
 * thousands of faults can be tried in an hour and a fault that was not noticed is so again. What is noticed
 * here is noticed by the full runs of `npm test`; a few that are not would be.
 */
import fc from '../../node_modules/fast-check/lib/fast-check.js';

const RUNS = 40;
const fewer = <T>(parameters?: fc.Parameters<T>): fc.Parameters<T> => ({
  seed: 1,
  ...parameters,
  numRuns: Math.min(parameters?.numRuns ?? RUNS, RUNS),
  // A fault needs no smallest example.
  endOnFailure: true,
});

export default {
  ...fc,
  assert: <T>(property: fc.IRawProperty<T>, parameters?: fc.Parameters<T>) =>
    fc.assert(property, fewer(parameters)),
};
