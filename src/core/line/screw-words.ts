import type { Word } from './piece';

/** Fasteners by their word. */
export const SCREW_WORD =
  /^(?:(screw|bolt|nut|washer|standoff|stud|rivet|thumbscrew|setscrew|woodscrew|tapper|self-tapper|fastener)s?|captives)$/;
/** What they are called by. */
export const screwCalled = (word: string): string =>
  word === 'captives' ? 'captive screw' : (SCREW_WORD.exec(word)?.[1] ?? 'screw');

/** Heads by their shape. ISO 1891, from memory. */
export const HEADS = /^(?:pan|flat|countersunk|button|cap|cheese|flange|truss)$/;

/** What tells screws of one thread apart. */
export const SORTS = /^(?:short|long)(?:er|est)?$/;

/** How screws look beside others. */
export const LOOKS =
  /^(?:small|little|big|large|tiny|thin|thick|spring|shoulder|thumb|grub|set|self|tapping|self-tapping|machine|wood|lock|wing|nyloc|dome|captive|hidden|recessed|sunken|quarter-turn|stripped|rusty|plastic|nylon|coarse|fine)$/;

/** Washers by their sort. */
export const WASHERS = /^(?:star|serrated|fibre|rubber|felt|wave|flat|toothed|mica|spring|lock)$/;

/** A colour, which is all that is said of some: "3 silver". */
export const COLOURS = /^(?:black|silver|brass|gold|golden|chrome|zinc|steel)$/;

/** What follows screws that are called by what drives them, or by their colour, alone. */
export const WHENCE = /^(?:from|off|of|in|on|under|at|ones?)$/;

/** That they are all of one sort. */
export const ALIKE = /^(?:equal|alike|same|identical)$/;

/** Whether what screws are called by ends there, or is followed by where they come from. */
export const ends = (next: Word | undefined): boolean =>
  next === undefined || (!next.found && (WHENCE.test(next.text) || next.type === 'comma'));
