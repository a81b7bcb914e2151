/** What a sheet of an exercise is given. */
export interface SheetProps<Q, A> {
  question: Q;
  /** as far as it was answered, here or on another device */
  answer: A | undefined;
  /** keeps how far it came */
  onAnswer(answer: A): void;
  /** it is answered: judge it */
  onDone(answer: A): void;
  /** it was judged: nothing is changed any more */
  over: boolean;
}
