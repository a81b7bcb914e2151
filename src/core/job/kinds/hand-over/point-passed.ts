import { demand } from '../../../refusal';
import { Line, Name } from '../../../schema/words';
import { openPoints } from '../../open-points';
import { kind } from '../kind';

/** An open point at Hand over is let go, with the reason. */
export const pointPassed = kind({
  type: 'point.passed',
  payload: { point: Name, reason: Line },
  admit: 'always',
  apply(state, { point, reason }, { at, by }) {
    demand(
      openPoints(state).some((p) => p.id === point),
      'that is not open',
      '/point',
    );
    demand(reason.trim().length >= 8, 'say why in a few words: it stays in the report', '/reason');
    return { ...state, passedPoints: [...state.passedPoints, { point, reason: reason.trim(), at, by }] };
  },
  says: (p, state) =>
    `Let go: ${openPoints(state).find((x) => x.id === p.point)?.what ?? p.point}, because ${p.reason}`,
  reports: ({ point, reason }, _state, { at }) => [
    { under: 'Shown beside it', at, text: `Let go: ${point}`, result: reason.trim() },
  ],
  whileParked: 'wakes',
});
