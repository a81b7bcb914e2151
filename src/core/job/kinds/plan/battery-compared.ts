import { type BatteryFitRequest, batteryFit, replaceBy, VERDICT_WORDS } from '../../../fit';
import { BatteryFitRequestSchema } from '../../../fit/schema';
import { Name, Type } from '../../../schema/words';
import { demandKind } from '../../of-kind';
import { kind } from '../kind';

/** Old and new battery laid beside each other: the sheets are kept, the verdict follows from them. */
export const batteryCompared = kind({
  type: 'battery.compared',
  payload: {
    element: Name,
    request: Type.Unsafe<BatteryFitRequest>(BatteryFitRequestSchema),
    chemistry: Type.Integer({ minimum: 0 }),
  },
  admit: 'always',
  apply(state, { element, request, chemistry }, { at, by }) {
    demandKind(state, element, 'battery');
    batteryFit(request);
    return { ...state, batteries: { ...state.batteries, [element]: { request, chemistry, at, by } } };
  },
  says: (p) => `Batteries for ${p.element} compared: ${VERDICT_WORDS[batteryFit(p.request).verdict]}`,
  reports({ element, request, chemistry }, { fix }, { at }, { later }) {
    if (fix?.element !== element || later.some((l) => l.element === element)) return [];
    const due = replaceBy(request.new, fix.at, request.rows);
    const under = 'Done' as const;
    return [
      {
        under,
        at,
        text: 'Old and new battery compared',
        result: `${VERDICT_WORDS[batteryFit(request).verdict]}${chemistry ? `, chemistry rows of version ${chemistry}` : ''}`,
      },
      ...(due ? [{ under, text: 'Replace by', result: `${due.date}, usual for ${due.chemistry}` }] : []),
    ];
  },
  whileParked: 'wakes',
});
