import { ofBattery } from './of-battery';
import { fixesOf } from './opening';
import type { JobState } from './state';

/** One thing to be shown after a remedy beside the check that failed. */
export interface ProvingLine {
  id: string;
  ask: string;
  why: string;
  /** what it was before, where that is known */
  before?: string;
  /** unit of the reading it may carry */
  unit?: string;
}

type Source = (state: JobState) => ProvingLine[];

const isBattery = (state: JobState, id: string | undefined) =>
  state.map.elements.find((e) => e.id === id)?.kind === 'battery';

/** Words of cells that are not charged. Common practice, no source. */
const PRIMARY = /\b(coin|button|primary|alkaline|non-rechargeable|[CB]R\s?\d{2,4}|LR\s?\d{1,2})/i;
const isPrimary = (name: string, chemistry: string | undefined) => !chemistry && PRIMARY.test(name);

/** Where lines come from; a further one is a further entry. Common practice, no source. */
const SOURCES: Source[] = [
  // What the unit itself said: the message has to be gone.
  ({ intake }) =>
    intake?.unitSays
      ? [
          {
            id: 'message',
            ask: 'What the unit itself says now',
            why: 'a code that is stored has to be cleared, and may come back',
            before: intake.unitSays,
          },
        ]
      : [],
  // A pack is charged by the unit, not by hope.
  (state) => {
    const fixed = fixesOf(state)
      .map((f) => state.map.elements.find((e) => e.id === f.element))
      .find((e) => e?.kind === 'battery');
    const fitted = fixed !== undefined;
    const battery = fitted ? fixed : state.map.elements.find((e) => e.kind === 'battery');
    return battery &&
      !isPrimary(battery.name, state.batteries[battery.id]?.request.new.chemistry) &&
      (fitted || ofBattery(state, battery).length > 0)
      ? [
          {
            id: 'charging',
            ask: `${battery.id} takes charge: current flows in, its voltage rises`,
            why: fitted ? 'the new pack has not been charged here yet' : 'its plug was parted',
            unit: 'A',
          },
        ]
      : [];
  },
  // A unit that was without its battery may have to be told so.
  (state) =>
    fixesOf(state).some((f) => isBattery(state, f.element))
      ? [
          {
            id: 'activation',
            ask: 'Activated, registered or reset where the unit asks for it, clock set',
            why: 'some count from the first start, some ask for a new battery to be named',
          },
        ]
      : [],
  // What the owner would lose is looked for by name.
  ({ intake }) =>
    (intake?.keep ?? []).map((k) => ({
      id: `keep:${k}`,
      ask: `Still there: ${k}`,
      why: 'the owner asked for it to be kept',
    })),
  // A lead that carries a warning of its own.
  (state) =>
    state.ledger.items.some((i) => i.kind === 'media')
      ? [{ id: 'media', ask: 'Cards and media are back and read', why: 'they were out' }]
      : [],
];

/**
 * What has to be shown beside the failing check: messages gone, charging, what the owner would lose.
 *
 * @param state a job
 * @returns lines in their order, empty when nothing beside the check is owed
 * @example provingLines(state)[0].before // 'pack low'
 */
export const provingLines = (state: JobState): ProvingLine[] => SOURCES.flatMap((s) => s(state));

/**
 * Parties that have to know or to allow before the unit is tried, and were not asked yet.
 *
 * @param state a job
 * @returns them, those whose leave is needed first
 * @example partiesLeft(state)[0].who // 'alarm receiver'
 */
export const partiesLeft = (state: JobState) =>
  (state.map.parties ?? [])
    .filter((p) => !state.told.some((t) => t.party === p.id))
    .sort((a, b) => Number(b.must === 'allow') - Number(a.must === 'allow'));
