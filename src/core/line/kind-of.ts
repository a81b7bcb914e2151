import { withoutColours } from './colours';
import type { Named } from './names';
import { LEADS } from './off-what';
import { isPlugMark } from './plug-words';
import type { LineVerb, ThingKind } from './verbs';

/** What is pulled, peeled or scraped off and does not hold again. */
export const GLUES = /\b(?:adhesives?|glue|silicone|sealant|stretch[- ]release|pull[- ](?:tabs|strips?))\b/;

const TAPES = /\b(?:tape|foil|film|label|sticker|kapton|gasket|pad|mylar)s?\b/;

const PLUGS_LAST = /\b(?:plug|connector|spade|bullet|spade terminal|quick-connect|push-on)s?$/;

/** Behind a mark: what is at the plug, and not what is plugged there: "J7 clip". */
const PART_OF_PLUG =
  /^(?:clips?|brackets?|holders?|covers?|caps?|boards?|nuts?|screws?|guides?|clamps?|latch|sockets?|headers?|ferrites?|tape|foam|housing|shell|retainer)$/;

/** How many contacts, behind a name. */
const FIGURE_LAST = / \(?\d+ ?-?(?:pins?|ways?|p|contacts?|cores?|wires?|w)\)?$/;

/** What has pins is plugged: "JST 6p". */
const HAS_PINS = /\d ?-?(?:pins?|ways?|p|contacts?)\)?$/;

/** What closes a hole and has no contacts. */
const BUNGS = /^(?:.* )?(?:rubber|drain|blanking|dust|sealing|oil|filler|vent) (?:plug|bung)s?$/;

/** A lead by its last word. */
export const LEADS_LAST = /\b(?:lead|cable|flex|ribbon|harness|plug|connector)s?$/;

/** A pole: what is off it is its lead. */
const POLES = /^(?:.* )?(?:plus|minus|positive|negative|pos|neg)(?: (?:terminal|pole|post|lead))?$|^.* [+-]$/;

/** A lead that goes by its number or by its ends: "ribbon 1", "lead PS-MB"; a cable tray is none. */
const LEAD_TO = /^(?:.* )?(?:lead|cable|flex|ribbon|harness) (?:\w*\d\w*|\w+[-/]\w+)$/;

/** Whether a word is the mark of a plug, or of a lead by both its ends: "P1-P4", "J7/8". */
const isPlugged = (word: string): boolean => {
  const [first, last, ...more] = word.split(/[-/]/);
  return (
    isPlugMark(first) &&
    more.length === 0 &&
    (last === undefined || isPlugMark(last) || /^\d{1,4}$/.test(last))
  );
};

/** What kind of thing comes off: by what is known of it, by its verb, by its words. */
export function kindOf(
  verb: LineVerb | undefined,
  said: string,
  known: Named | undefined,
  counted: boolean,
): ThingKind {
  const takes = verb?.takes ?? undefined;
  if (!known && BUNGS.test(said)) return 'part';
  const plain = withoutColours(said).replace(FIGURE_LAST, '');
  if (takes === 'plug' || takes === 'media') return takes;
  if (takes !== 'tie' && !known && GLUES.test(plain)) return 'tape';
  if (takes === 'tie') return 'tie';
  // Nobody lifts a header: what is meant is what is plugged into it.
  const onto = known?.kind === 'header' && (takes === undefined || verb?.does === 'lift');
  if (known?.kind === 'plug' || onto) return 'plug';
  // "slide the flex out": a lead that has a name is parted, however it is pulled.
  if (verb?.does === 'slide' && known && LEADS_LAST.test(known.name.toLowerCase().replace(/\s*\(.*\)$/, '')))
    return 'plug';
  if (verb?.or?.includes('plug') && takes === 'part')
    return (known && LEADS.test(known.name.toLowerCase())) ||
      LEADS.test(plain) ||
      (!known && (isPlugged(plain) || HAS_PINS.test(said)))
      ? 'plug'
      : 'part';
  if (takes === 'part' && !known && /\b(?:tape|foil)s?$/.test(plain)) return 'tape';
  if (takes === 'tape') return LEADS.test(plain) && !TAPES.test(plain) ? 'part' : 'tape';
  if (takes) return 'part';
  if (known) return 'part';
  // "the main lead", without a word for what was done to it.
  const [mark = '', of] = plain.split(' ');
  const ofMark = isPlugged(mark) && (of === undefined || !PART_OF_PLUG.test(of));
  if (verb === undefined && (ofMark || HAS_PINS.test(said))) return 'plug';
  if (
    verb === undefined &&
    (PLUGS_LAST.test(plain) ||
      LEAD_TO.test(plain) ||
      POLES.test(plain) ||
      (!counted && LEADS_LAST.test(plain)))
  )
    return 'plug';
  if (/^tape\b|\btape$/.test(plain)) return 'tape';
  return /\bties?\b/.test(plain) ? 'tie' : 'part';
}
