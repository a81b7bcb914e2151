import type { MapCheck } from '../../core/unit';

/** An answer as it is typed or picked, before it is recorded. */
export interface Typed {
  check: string;
  outcome?: string;
  reading?: number;
  takes?: number[];
}

export interface AnswerProps {
  check: MapCheck;
  /** records the answer; the reason when it is refused */
  onAnswer(a: Typed & { source: 'meter' | 'eye' }): string | null;
  /** what is typed but not recorded, for the forecast */
  onTyped?: ((a: Typed | null) => void) | undefined;
}
