import type { Beside } from './beside';
import { startBeside } from './beside';
import type { HandingOver } from './handing-over';
import { startHandingOver } from './handing-over';
import type { MakingSafe } from './making-safe';
import { startMakingSafe } from './making-safe';
import type { Opening } from './opening';
import type { Planning } from './planning';
import { startPlanning } from './planning';
import type { Practising } from './practising';
import { startPractising } from './practising';
import type { Proving } from './proving';
import { startProving } from './proving';
import type { OnTheRun } from './stop';
import { startOnTheRun } from './stop';
import type { Swapping } from './swapping';
import { startSwapping } from './swapping';
import type { TakingIn } from './taking-in';
import { startTakingIn } from './taking-in';
import type { Tracing } from './tracing';
import { startTracing } from './tracing';
import type { Tray } from './tray';
import { startTray } from './tray';

export * from './beside';
export * from './handing-over';
export * from './making-safe';
export * from './opening';
export * from './planning';
export * from './practising';
export * from './proving';
export * from './stop';
export * from './swapping';
export * from './taking-in';
export * from './tracing';
export * from './tray';

/** Everything known of a job, folded from its events. Each part belongs to the topic that begins it. */
export interface JobState
  extends Opening,
    OnTheRun,
    TakingIn,
    Tracing,
    Planning,
    MakingSafe,
    Tray,
    Swapping,
    Proving,
    HandingOver,
    Practising,
    Beside {}

/**
 * A job as it begins: every topic's part at its start.
 *
 * @param opening what it is opened with
 * @returns the state before anything was recorded
 * @example startOf({ id, tag: 'J-7', openedAt, map, whole: map }).stop // 'take in'
 */
export const startOf = (opening: Opening): JobState => ({
  ...opening,
  ...startOnTheRun(),
  ...startTakingIn(),
  ...startTracing(),
  ...startPlanning(),
  ...startMakingSafe(opening.map),
  ...startTray(),
  ...startSwapping(),
  ...startProving(),
  ...startHandingOver(),
  ...startPractising(),
  ...startBeside(),
});
