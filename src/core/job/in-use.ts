import { demand } from '../refusal';
import type { InUse, JobState, UseKind } from './state';

/** Something that stays hot, or wet, after the move it was used for. */
interface Use {
  /** what it is called while it lasts */
  name: string;
  /** what it means meanwhile */
  meanwhile: string;
  /** what ends it, as a button says it */
  ends: string;
  /** verbs and words that begin it */
  begins: (verb: string, text: string) => boolean;
  hot: boolean;
}

// What is only called so is not in use: "lift uv lamp". It is where it is the tool.
const IRON = /\bwith (?:an? |the )?(?:hot )?(?:soldering )?iron\b/i;
const LAMP = /\bwith (?:an? |the )?(?:uv|heat|infrared|curing) lamp\b/i;
const SOLVENT = /\b(?:alcohol|solvent|isopropanol|ipa|acetone|adhesive remover)\b/i;

/**
 * What stays live until it is said off; a further one is a further entry, the more particular before: what
 * heats with a lamp is a lamp. Common practice, no source.
 */
export const USES: Record<UseKind, Use> = {
  iron: {
    name: 'Soldering iron',
    meanwhile: 'hot',
    ends: 'It is off',
    begins: (verb, text) => verb === 'solder' || verb === 'unsolder' || IRON.test(text),
    hot: true,
  },
  lamp: {
    name: 'Lamp',
    meanwhile: 'burning: hot, and no look into it',
    ends: 'It is off',
    begins: (verb, text) => verb === 'lamp' || LAMP.test(text),
    hot: true,
  },
  heater: {
    name: 'Heater',
    meanwhile: 'hot',
    ends: 'It is off',
    begins: (verb) => verb === 'heat',
    hot: true,
  },
  solvent: {
    name: 'Solvent',
    meanwhile: 'flammable and not dry: no power, nothing hot',
    ends: 'It is dry',
    begins: (verb, text) => verb === 'solvent' || (verb === 'clean' && SOLVENT.test(text)),
    hot: false,
  },
};

export const USE_KINDS = Object.keys(USES) as UseKind[];

const begunBy = (verb: string, text: string): UseKind | undefined =>
  USE_KINDS.find((k) => USES[k].begins(verb, text));

/** Parts that solvent creeps under. */
const DISPLAY = /\b(?:display|screen|lcd|oled|e-?paper|touch ?(?:panel|screen)|backlight)\b/i;

/**
 * Heat does not come near solvent that is wet, nor solvent near something hot, nor under a display.
 *
 * @param state a job
 * @param verb of the move
 * @param text as typed
 * @throws Refusal naming what is in the way
 * @example mayUse(state, 'solvent', 'alcohol display edge')
 */
export function mayUse(state: JobState, verb: string, text: string): void {
  const use = begunBy(verb, text);
  if (!use) return;
  const clash = state.inUse.find((u) => USES[u.use].hot !== USES[use].hot);
  demand(!clash, clash ? `Not beside each other: ${inUseWords(clash)}. Say when it is over` : '', '/item');
  demand(
    use !== 'solvent' || !DISPLAY.test(text),
    'No solvent at a display: it creeps under and stays. Warmth and a thread, or a dry cloth',
    '/item',
  );
  demand(
    use !== 'solvent' || state.power !== 'on',
    'No solvent yet: the power is on, and it is flammable. Power out first',
    '/item',
  );
}

/** What is in use, in words: "Solvent at back edge: flammable and not dry". */
export const inUseWords = ({ use, on }: InUse): string =>
  `${USES[use].name}${on ? ` at ${on}` : ''}: ${USES[use].meanwhile}`;

/**
 * The job with what a move puts to use; one that is in use already stays so.
 *
 * @param state a job
 * @param move verb, text and what it is done to
 * @param when id and time
 * @returns the job
 * @example using(state, { verb: 'heat', text: 'heat 2 min' }, when).inUse[0].use // 'heater'
 */
export function using(
  state: JobState,
  { verb, text, on }: { verb: string; text: string; on?: string | undefined },
  { id, at }: { id: string; at: string },
): JobState {
  const use = begunBy(verb, text);
  if (!use || state.inUse.some((u) => u.use === use && u.on === on)) return state;
  return { ...state, inUse: [...state.inUse, { id, use, at, ...(on ? { on } : {}) }] };
}

/**
 * Power waits until solvent is dry.
 *
 * @param state a job
 * @param path of the field it is said at
 * @throws Refusal while solvent is wet
 * @example demandDry(state, '/power')
 */
export function demandDry(state: JobState, path: string): void {
  const wet = state.inUse.find((u) => u.use === 'solvent');
  demand(!wet, wet ? `No power yet: ${inUseWords(wet)}. Say when it is dry` : '', path);
}
