import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  DRIVES,
  type LineEntry,
  type Named,
  nearest,
  printEntry,
  readText,
  type ThingKind,
  takesOff,
  VERBS,
} from '.';

/** Names as people give them, with numbers and letters that must not be lost. */
const NAMES: Named[] = [
  { id: 'rear', name: 'rear cover', kind: 'cover' },
  { id: 'lid-a', name: 'lid A', kind: 'cover' },
  { id: 'lid-b', name: 'lid B', kind: 'cover' },
  { id: 'door', name: 'sealed door', kind: 'cover' },
  { id: 'F11', name: 'fan 11', kind: 'element' },
  { id: 'F12', name: 'fan 12', kind: 'element' },
  { id: 'M1', name: 'ticket motor', kind: 'element' },
  { id: 'B1', name: 'battery 1', kind: 'element' },
  { id: 'B2', name: 'battery 2', kind: 'element' },
  { id: 'T1', name: 'transformer', kind: 'element' },
  { id: 'main plug', name: 'main plug', kind: 'plug' },
  { id: 'W1', name: 'W1', kind: 'plug', aliases: ['the fat lead'] },
  { id: 'J7', name: 'J7', kind: 'header' },
  { id: 'i1', name: 'rail of the battery side', kind: 'thing' },
  { id: 'FX-L', name: 'left stick flex (ZIF)', kind: 'element' },
];

type Row = [line: string, ...entries: Partial<LineEntry>[]];
const screw = (more: Partial<LineEntry>): Partial<LineEntry> => ({
  does: 'undo',
  takesOff: true,
  kind: 'fastener',
  ...more,
});
const moved = (does: string, more: Partial<LineEntry> = {}): Partial<LineEntry> => ({
  does,
  takesOff: false,
  ...more,
});
const off = (does: string, kind: ThingKind, name: string, more: Partial<LineEntry> = {}) => ({
  does,
  takesOff: true,
  kind,
  name,
  ...more,
});

const TABLE: Row[] = [
  // Names on the map first, and nothing of a name is dropped.
  ['4 x M3x8 PH1 fan 12', screw({ count: 4, thread: 'M3', lengthMm: 8, from: 'fan 12', fromKnown: 'F12' })],
  ['4 x M3x8 PH1 fan 11', screw({ from: 'fan 11', fromKnown: 'F11' })],
  ['lid A', off('lift', 'part', 'lid A', { known: 'lid-a' })],
  ['lift lid B', off('lift', 'part', 'lid B', { known: 'lid-b' })],
  ['2 x M3x6 lid B', screw({ from: 'lid B', fromKnown: 'lid-b' })],
  ['lift rail of the battery side', off('lift', 'part', 'rail of the battery side', { known: 'i1' })],
  ['unplug M1', off('unplug', 'plug', 'M1', { known: 'M1' })],
  ['cut tie T1', off('cut', 'tie', 'tie T1', { known: 'T1' })],
  ['cut T1', off('cut', 'tie', 'T1', { known: 'T1' })],
  ['cut tie T9', off('cut', 'tie', 'tie T9')],
  ['remove battery 1', off('remove', 'part', 'battery 1', { known: 'B1' })],
  ['remove battery 2', off('remove', 'part', 'battery 2', { known: 'B2' })],
  ['remove battery 3', off('remove', 'part', 'battery 3')],
  ['lift B1', off('lift', 'part', 'B1', { known: 'B1' })],
  ['lift flat cable', off('lift', 'part', 'flat cable')],
  ['unplug flat cable', off('unplug', 'plug', 'flat cable')],
  ['unclip lens cap', off('unclip', 'part', 'lens cap')],
  ['lift dust cap > shelf', off('lift', 'part', 'dust cap', { place: { kind: 'shelf' } })],
  ['unplug main plug', off('unplug', 'plug', 'main plug', { known: 'main plug' })],
  ['main plug', off('unplug', 'plug', 'main plug', { known: 'main plug' })],
  ['unplug plug J7', off('unplug', 'plug', 'J7', { known: 'J7' })],
  ['unplug ribbon 2', off('unplug', 'plug', 'ribbon 2')],
  ['unplug aside lead', off('unplug', 'plug', 'aside lead')],
  ['lift card slot', off('lift', 'part', 'card slot')],
  ['unplug harness plug tab', off('unplug', 'plug', 'harness plug tab')],
  ['unplug door latch', off('unplug', 'plug', 'door latch')],
  ['peel button lead', off('peel', 'part', 'button lead')],
  ['lift heat shield', off('lift', 'part', 'heat shield')],
  ['lift screw cover', off('lift', 'part', 'screw cover')],
  ['lift paper shelf', off('lift', 'part', 'paper shelf')],
  ['lift plate 3 of 4', off('lift', 'part', 'plate 3 of 4')],
  ['unplug the fat lead', off('unplug', 'plug', 'W1', { known: 'W1' })],
  ['W1', off('unplug', 'plug', 'W1', { known: 'W1' })],
  ['2 x M3x8 door', screw({ from: 'door', fromKnown: 'door' })],
  // What people write.
  ['4xM2x8 bottom cover', screw({ count: 4, thread: 'M2', lengthMm: 8, from: 'bottom cover' })],
  ['4xM3x8 PH1 rear cover', screw({ count: 4, drive: 'PH1', from: 'rear cover', fromKnown: 'rear' })],
  ['4 x M3x8 PH1 rear cover > cup 3', screw({ count: 4, place: { kind: 'cup', label: '3' } })],
  ['4× M3×8 PH1 from rear cover → cup 3', screw({ count: 4, place: { kind: 'cup', label: '3' } })],
  [
    'rear cover 4x M2,5x6 T8',
    screw({ count: 4, thread: 'M2.5', lengthMm: 6, drive: 'T8', from: 'rear cover' }),
  ],
  ['4 x M3 PH1 rear cover', screw({ count: 4, thread: 'M3', drive: 'PH1' })],
  ['4 M3x8 rear cover', screw({ count: 4, thread: 'M3', lengthMm: 8 })],
  ['M3x8', screw({ count: 1, thread: 'M3', lengthMm: 8 })],
  ['M3 x 8 mm PH1 rear cover', screw({ thread: 'M3', lengthMm: 8, from: 'rear cover' })],
  ['2 x ST3.5x13 PZ2 foot', screw({ thread: 'ST3.5', lengthMm: 13, drive: 'PZ2', from: 'foot' })],
  ['6-32x1/2', screw({ count: 1, thread: '6-32', lengthMm: 12.7 })],
  [
    '2x 6-32 x 1/4 PH2 bracket > bag A',
    screw({ thread: '6-32', lengthMm: 6.35, place: { kind: 'bag', label: 'A' } }),
  ],
  ['1/4-20 x 1/2" foot', screw({ thread: '1/4-20', lengthMm: 12.7, from: 'foot' })],
  ['3 x 8-32x1 1/4 foot', screw({ count: 3, thread: '8-32', lengthMm: 31.75 })],
  ['1/8 hex', screw({ drive: 'HEX1/8' })],
  ['1/8 hex foot', screw({ drive: 'HEX1/8', from: 'foot' })],
  ['3x M3x6 hex 2.5 foot', screw({ drive: 'HEX2.5', from: 'foot' })],
  ['3x M3x6 2.5 hex foot', screw({ drive: 'HEX2.5', from: 'foot' })],
  ['2x M3x6 hex 5/64 foot', screw({ drive: 'HEX5/64' })],
  ['1x M2x4 Y1 hinge', screw({ drive: 'Y1', from: 'hinge' })],
  ['2 x M2x4 tri-wing 1 hinge', screw({ drive: 'Y1', from: 'hinge' })],
  ['T10 security 2x M4x12 foot', screw({ count: 2, drive: 'T10 security', from: 'foot' })],
  ['2x M4x12 T10h foot', screw({ drive: 'T10 security' })],
  ['2x M4x12 TX20 foot', screw({ drive: 'T20' })],
  ['2x M4x12 SL5 foot', screw({ drive: 'SL5' })],
  ['2x M4x12 slotted foot', screw({ drive: 'SL' })],
  ['2x M4x12 pozi 2 foot', screw({ drive: 'PZ2' })],
  ['4 screws 6mm bottom', screw({ count: 4, lengthMm: 6, from: 'bottom', name: 'screw' })],
  ['4 screws', screw({ count: 4, name: 'screw' })],
  ['remove 4 screws rear cover', { ...screw({ count: 4, from: 'rear cover' }), does: 'remove' }],
  ['several x M3x6 PZ2 lid A', screw({ count: null, drive: 'PZ2', fromKnown: 'lid-a' })],
  ['some screws foot', screw({ count: null, from: 'foot' })],
  [
    '11 x M3x6 PH2 back, 2 x M3x8 PH2 back > cup 2',
    screw({ count: 11, lengthMm: 6, from: 'back' }),
    screw({ count: 2, lengthMm: 8, from: 'back', place: { kind: 'cup', label: '2' } }),
  ],
  ['4 short 2 long', screw({ count: 4, name: 'short screw' }), screw({ count: 2, name: 'long screw' })],
  ['4 short, 2 long', screw({ count: 4, name: 'short screw' }), screw({ count: 2, name: 'long screw' })],
  ['all equal except 2 x M3x12', screw({ count: null }), screw({ count: 2, thread: 'M3', lengthMm: 12 })],
  ['2 nuts M4 7mm', screw({ count: 2, name: 'nut', thread: 'M4', drive: 'HEX7' })],
  ['washer', screw({ count: 1, name: 'washer' })],
  ['3 washers', screw({ count: 3, name: 'washer' })],
  ['standoff', screw({ name: 'standoff' })],
  ['2 standoffs M3 5.5mm', screw({ count: 2, name: 'standoff', drive: 'HEX5.5' })],
  ['nut and bolt', screw({ name: 'nut' }), screw({ name: 'bolt' })],
  ['2 x M3x8 PH1 cap head rear cover', screw({ head: 'cap', from: 'rear cover' })],
  ['2 button head screws foot', screw({ head: 'button', from: 'foot' })],
  ['disconnect J7', off('unplug', 'plug', 'J7', { known: 'J7' })],
  ['J9 unplug', off('unplug', 'plug', 'J9')],
  ['unplug J7 24p latch', off('unplug', 'plug', 'J7', { contacts: 24, latch: true })],
  ['unplug J9 12p 8w', off('unplug', 'plug', 'J9', { contacts: 12, wires: 8 })],
  ['unplug J9 6-pin', off('unplug', 'plug', 'J9', { contacts: 6 })],
  ['unplug J9 latch', off('unplug', 'plug', 'J9', { latch: true })],
  ['unplug J9 aside', off('unplug', 'plug', 'J9', { aside: true })],
  ['unsolder red', off('unsolder', 'plug', 'red')],
  ['desolder cell +', off('unsolder', 'plug', 'cell +')],
  ['unlatch W1', moved('unlatch', { known: 'W1', name: 'W1' })],
  ['unplug W1', off('unplug', 'plug', 'W1', { known: 'W1' })],
  ['lift shield', off('lift', 'part', 'shield')],
  ['take off rear cover', off('lift', 'part', 'rear cover', { known: 'rear' })],
  ['slide drawer out', off('slide', 'part', 'drawer')],
  // As it is told afterwards, and with the small word at the end.
  ['unscrewed 4 M3x8 from rear cover', screw({ count: 4, thread: 'M3', lengthMm: 8, fromKnown: 'rear' })],
  ['undid 2 screws foot', screw({ count: 2, from: 'foot' })],
  ['unplugged J7', off('unplug', 'plug', 'J7', { known: 'J7' })],
  ['J7 was unplugged', off('unplug', 'plug', 'J7', { known: 'J7' })],
  ['fan lead unplugged', off('unplug', 'plug', 'fan lead')],
  ['the fan lead is unplugged', off('unplug', 'plug', 'fan lead')],
  ['paper slide > shelf', off('lift', 'part', 'paper slide', { place: { kind: 'shelf' } })],
  ['pull J7', off('unplug', 'plug', 'J7', { known: 'J7' })],
  ['pulled the fan lead', off('unplug', 'plug', 'fan lead')],
  ['pulled CN4', off('unplug', 'plug', 'CN4')],
  ['pulled the rear cover', off('lift', 'part', 'rear cover', { known: 'rear' })],
  ['pulled A2', off('lift', 'part', 'A2')],
  ['J7 out', off('unplug', 'plug', 'J7', { known: 'J7' })],
  ['line out > shelf', off('lift', 'part', 'line out', { place: { kind: 'shelf' } })],
  ['took the rear cover off', off('lift', 'part', 'rear cover', { known: 'rear' })],
  [
    'rear cover came off > shelf',
    off('lift', 'part', 'rear cover', { known: 'rear', place: { kind: 'shelf' } }),
  ],
  ['popped shield off', off('lift', 'part', 'shield')],
  ['slid the drawer out', off('slide', 'part', 'drawer')],
  ['pried the shield off', off('pry', 'part', 'shield')],
  ['peeled the tape', off('peel', 'tape', 'tape')],
  ['opened the rear cover', off('lift', 'part', 'rear cover', { known: 'rear' })],
  ['rear cover open', off('lift', 'part', 'rear cover', { known: 'rear' })],
  ['released 4 clips', moved('unlatch', { name: '4 clips' })],
  ['battery disconnected', off('unplug', 'plug', 'battery')],
  ['drilled out 2 rivets foot', screw({ count: 2, name: 'rivet', from: 'foot' })],
  [
    'removed the two screws holding the rear cover',
    { ...screw({ count: 2, fromKnown: 'rear' }), does: 'remove' },
  ],
  ['one long screw foot', screw({ count: 1, name: 'long screw', from: 'foot' })],
  ['2 marked leads', off('lift', 'part', 'marked leads', { count: 2 })],
  // What drives them is all that is said of them.
  ['3 torx > cup 2', screw({ count: 3, drive: 'six-lobe', place: { kind: 'cup', label: '2' } })],
  ['2 torx screws foot', screw({ count: 2, drive: 'six-lobe', from: 'foot' })],
  ['4 phillips from foot', screw({ count: 4, drive: 'PH', from: 'foot' })],
  ['2 star washers', screw({ count: 2, name: 'star washer' })],
  ['2 cross cables', off('lift', 'part', 'cross cables', { count: 2 })],
  ['four small screws foot', screw({ count: 4, name: 'small screw', from: 'foot' })],
  ['2 long black screws foot', screw({ count: 2, name: 'long black screw', from: 'foot' })],
  ['2 screws black lid', screw({ count: 2, name: 'screw', from: 'black lid' })],
  // Joined and kept once: kept together.
  [
    '4 screws and a washer > tin',
    screw({ count: 4, place: { kind: 'cup' } }),
    screw({ count: 1, name: 'washer', place: { kind: 'cup' } }),
  ],
  ['lift shield > bench left', off('lift', 'part', 'shield', { place: { kind: 'shelf', label: 'left' } })],
  [
    'lift shield > tin by the window with hook',
    off('lift', 'part', 'shield', { place: { kind: 'cup', label: 'by the window' }, tool: 'hook' }),
  ],
  [
    'unplugged J7 and the W1',
    off('unplug', 'plug', 'J7', { known: 'J7' }),
    off('unplug', 'plug', 'W1', { known: 'W1' }),
  ],
  ['pry rear cover with plastic card', off('pry', 'part', 'rear cover', { tool: 'plastic card' })],
  ['2 x spring clip', off('lift', 'part', 'spring clip', { count: 2 })],
  ['unclip 2 springs', off('unclip', 'part', 'springs', { count: 2 })],
  ['peel tape W4', off('peel', 'tape', 'tape W4')],
  ['tape W4', moved('tape', { name: 'W4' })],
  ['eject card', off('eject', 'media', 'card')],
  ['cut cable tie', off('cut', 'tie', 'cable tie')],
  // Places.
  ['lift fan 12 > envelope 1', off('lift', 'part', 'fan 12', { place: { kind: 'bag', label: '1' } })],
  ['lift fan 12 > bag B', off('lift', 'part', 'fan 12', { place: { kind: 'bag', label: 'B' } })],
  ['lift fan 12 into cup 4', off('lift', 'part', 'fan 12', { place: { kind: 'cup', label: '4' } })],
  ['lift fan 12 on the shelf', off('lift', 'part', 'fan 12', { place: { kind: 'shelf' } })],
  ['6x M3x6 PH1 lid A > in the part', screw({ count: 6, place: { kind: 'left in the part' } })],
  ['6x M3x6 PH1 lid A left in the part', screw({ fromKnown: 'lid-a', place: { kind: 'left in the part' } })],
  ['2 x M3x8 PH1 lid A > its hole', screw({ place: { kind: 'in its own hole' } })],
  ['2 x M3x8 PH1 lid A > photo', screw({ place: { kind: 'taped to the photo' } })],
  // Moves that take nothing off.
  ['heat 2 min', moved('heat', { minutes: 2 })],
  ['heat 90 s', moved('heat', { minutes: 1.5 })],
  ['lift relay 5 s', off('lift', 'part', 'relay 5 s')],
  ['heat rear cover 3 min', moved('heat', { name: 'rear cover', known: 'rear', minutes: 3 })],
  ['alcohol back edge', moved('solvent', { name: 'back edge' })],
  ['cut 50 mm panel', moved('cut', { name: 'panel', lengthMm: 50 })],
  ['cut the glue', moved('cut', { name: 'glue' })],
  ['brush', moved('clean')],
  ['clean contacts with swab', moved('clean', { name: 'contacts', tool: 'swab' })],
  ['solder', moved('solder')],
  ['solder red wire', moved('solder', { name: 'red wire' })],
  ['look at hinge', moved('look', { name: 'hinge' })],
  ['label W1', moved('mark', { name: 'W1', known: 'W1' })],
  ['tape bare contacts', moved('tape', { name: 'bare contacts' })],
  ['wait 10 min', moved('wait', { minutes: 10 })],
  ['turn lever to open', moved('turn', { kind: 'change', name: 'lever', to: 'open' })],
  ['set S1 to 3', moved('set', { kind: 'change', name: 'S1', to: '3' })],
  ['flip bottom', moved('flip', { to: 'bottom' })],
  ['flip', moved('flip', { to: 'over' })],
  ['turn over', moved('flip', { to: 'over' })],
  ['turn hinge side up', moved('flip', { to: 'hinge side' })],
  // Tools and notes.
  ['2 x M4x10 foot with T30 impact', screw({ drive: 'T30', tool: 'T30 impact', from: 'foot' })],
  ['lift rear cover (hooks at the left)', off('lift', 'part', 'rear cover', { note: 'hooks at the left' })],
  ['lift rear cover note: tabs break', off('lift', 'part', 'rear cover', { note: 'tabs break' })],
  ['lift cover with window', off('lift', 'part', 'cover with window')],
  // As dictation gives it.
  [
    'four M three by eight Phillips one rear cover cup three',
    screw({
      count: 4,
      thread: 'M3',
      lengthMm: 8,
      drive: 'PH1',
      fromKnown: 'rear',
      place: { kind: 'cup', label: '3' },
    }),
  ],
  [
    'six M two point five by six torx ten lid a bag two',
    screw({
      count: 6,
      thread: 'M2.5',
      lengthMm: 6,
      drive: 'T10',
      fromKnown: 'lid-a',
      place: { kind: 'bag', label: '2' },
    }),
  ],
  ['four em three times eight', screw({ count: 4, thread: 'M3', lengthMm: 8 })],
  ['twenty one em two point five by six', screw({ count: 21, thread: 'M2.5', lengthMm: 6 })],
  ['for M three by eight foot', screw({ count: 4, thread: 'M3', lengthMm: 8, from: 'foot' })],
  ['to em three by ten tee ten foot', screw({ count: 2, thread: 'M3', lengthMm: 10, drive: 'T10' })],
  [
    'Six M4 by twelve torx twenty, foot.',
    screw({ count: 6, thread: 'M4', lengthMm: 12, drive: 'T20', from: 'foot' }),
  ],
  ['two M2.5 times six point five foot', screw({ count: 2, thread: 'M2.5', lengthMm: 6.5, from: 'foot' })],
  ['one M four by twenty five foot', screw({ count: 1, thread: 'M4', lengthMm: 25, from: 'foot' })],
  [
    'Four M3 by 8, Phillips number one, rear cover, cup 3.',
    screw({
      count: 4,
      thread: 'M3',
      lengthMm: 8,
      drive: 'PH1',
      fromKnown: 'rear',
      place: { kind: 'cup', label: '3' },
    }),
  ],
  ['Lift rear cover.', off('lift', 'part', 'rear cover', { known: 'rear' })],
  ['two screws ph one foot.', screw({ count: 2, drive: 'PH1', from: 'foot' })],
  ['two screws foot', screw({ count: 2, from: 'foot' })],
  [
    'two M four by ten hex two point five foot',
    screw({ count: 2, thread: 'M4', lengthMm: 10, drive: 'HEX2.5' }),
  ],
  ['twelve M three by six pozi two rear cover', screw({ count: 12, drive: 'PZ2' })],
  // What was done is said last, and the next thing begins after the comma.
  [
    'rear cover off, lid A off',
    off('lift', 'part', 'rear cover', { known: 'rear' }),
    off('lift', 'part', 'lid A', { known: 'lid-a' }),
  ],
  [
    'unscrewed 6 M4x12 from the rear cover, rear cover off > bench, unplugged the main plug',
    screw({ count: 6, thread: 'M4', lengthMm: 12, from: 'rear cover', fromKnown: 'rear' }),
    off('lift', 'part', 'rear cover', { known: 'rear', place: { kind: 'shelf' } }),
    off('unplug', 'plug', 'main plug', { known: 'main plug' }),
  ],
  [
    '4 screws, lid off -> bench left',
    screw({ count: 4 }),
    off('lift', 'part', 'lid', { place: { kind: 'shelf', label: 'left' } }),
  ],
  [
    '6 M4 rear cover, the rear cover > shelf 2',
    screw({ count: 6, thread: 'M4', from: 'rear cover' }),
    off('lift', 'part', 'rear cover', { place: { kind: 'shelf', label: '2' } }),
  ],
  ['4 screws off, rear cover', screw({ count: 4, fromKnown: 'rear' })],
  // Screws of two covers are no cover that came off.
  ['8 M3 rear cover, lid A', screw({ count: 8, thread: 'M3', fromKnown: 'rear' })],
  ['6 screws then rear cover', screw({ count: 6 }), off('lift', 'part', 'rear cover', { known: 'rear' })],
  ['4 screws out of the rear cover', screw({ count: 4, from: 'rear cover', fromKnown: 'rear' })],
  ['4 M3 off the hood, hood away', screw({ count: 4, from: 'hood' }), off('lift', 'part', 'hood')],
  ['rear cover away', off('lift', 'part', 'rear cover', { known: 'rear' })],
  ['swung the rear cover open', off('lift', 'part', 'rear cover', { known: 'rear' })],
  // What is said to be away is told to its end.
  [
    '2 M3 out of the rear cover then rear cover away, battery lead out',
    screw({ count: 2, from: 'rear cover' }),
    off('lift', 'part', 'rear cover', { known: 'rear' }),
    off('unplug', 'plug', 'battery lead'),
  ],
  ['hood off, grille', off('lift', 'part', 'hood'), off('lift', 'part', 'grille')],
  ['hood off, on the bench', off('lift', 'part', 'hood', { place: { kind: 'shelf' } })],
  ['rear cover off, note: scratched', off('lift', 'part', 'rear cover', { note: 'scratched' })],
  ['fan lead off', off('unplug', 'plug', 'fan lead')],
  ['clip out', off('lift', 'part', 'clip')],
  // How a latch or a clip is now is no part that came off, and no name.
  ['unplug W1, latch open', off('unplug', 'plug', 'W1', { known: 'W1', note: 'latch open' })],
  ['unplug J7, 4p, latch', off('unplug', 'plug', 'J7', { contacts: 4, latch: true })],
  [
    'moved the fan 12 aside, still wired',
    off('lift', 'part', 'fan 12', { known: 'F12', aside: true, note: 'still wired' }),
  ],
  [
    '3 of 4 screws from the rear cover > cup 1, one stripped',
    screw({
      count: 3,
      from: 'rear cover',
      fromKnown: 'rear',
      place: { kind: 'cup', label: '1' },
      note: 'one stripped',
    }),
  ],
  // Where it was set down, in words of its own.
  ['rear cover off > floor', off('lift', 'part', 'rear cover', { place: { kind: 'shelf', label: 'floor' } })],
  [
    'rear cover off, on the floor',
    off('lift', 'part', 'rear cover', { place: { kind: 'shelf', label: 'floor' } }),
  ],
  [
    'rear cover off and leaned against the wall',
    off('lift', 'part', 'rear cover', { place: { kind: 'shelf', label: 'against the wall' } }),
  ],
  [
    'lifted the hood off, leaned against the wall',
    off('lift', 'part', 'hood', { place: { kind: 'shelf', label: 'against the wall' } }),
  ],
  ['fan 12 out, in the bag', off('lift', 'part', 'fan 12', { known: 'F12', place: { kind: 'bag' } })],
  [
    'fan 12 out into the antistatic bag',
    off('lift', 'part', 'fan 12', { known: 'F12', place: { kind: 'shelf', label: 'antistatic bag' } }),
  ],
  ['1 M4 screw > left in its hole', screw({ thread: 'M4', place: { kind: 'in its own hole' } })],
  // Things that sound like what is done.
  ['heat sink off', off('lift', 'part', 'heat sink')],
  ['heat sink out > bag', off('lift', 'part', 'heat sink', { place: { kind: 'bag' } })],
  ['label off', off('lift', 'part', 'label')],
  ['SD card out > envelope 2', off('lift', 'part', 'SD card', { place: { kind: 'bag', label: '2' } })],
  ['fuse out', off('lift', 'part', 'fuse')],
  ['line out', off('lift', 'part', 'line out')],
  ['key taken > hook', off('lift', 'part', 'key', { place: { kind: 'shelf', label: 'hook' } })],
  ['pulled the string plugs', off('unplug', 'plug', 'string plugs')],
  ['the DC lead is off', off('unplug', 'plug', 'DC lead')],
  ['the hood is off', off('lift', 'part', 'hood')],
  ['2 cable ties cut at the fan lead', off('cut', 'tie', 'cable ties at the fan lead', { count: 2 })],
  ['insulated the tab', { does: 'tape', takesOff: false, name: 'tab' }],
  ['paste wiped off', { does: 'clean', takesOff: false, name: 'paste' }],
  ['took a photo', { does: 'photograph', takesOff: false }],
  ['tyre levered off', off('pry', 'part', 'tyre')],
  ['cell tabs desoldered, minus first', off('unsolder', 'plug', 'cell tabs', { note: 'minus first' })],
  ['spring of the arm unhooked', off('unclip', 'part', 'spring of the arm')],
  ['tape over the screws peeled', off('peel', 'tape', 'tape over the screws')],
  ['pulled the adhesive strips', off('lift', 'tape', 'adhesive strips')],
  ['label removed', off('remove', 'part', 'label')],
  [
    '2 pentalobe screws bracket > cup',
    screw({ count: 2, drive: 'five-lobe', from: 'bracket', place: { kind: 'cup' } }),
  ],
  ['2 x pentalobe 5 lid', screw({ count: 2, drive: '5L5', from: 'lid' })],
  // How it was found, or in which order: no part of its own.
  ['fuser out, hot', off('lift', 'part', 'fuser', { note: 'hot' })],
  [
    'hood off, broken clip > bin',
    off('lift', 'part', 'hood'),
    off('lift', 'part', 'broken clip', { place: { kind: 'shelf', label: 'bin' } }),
  ],
  ['warm plate 2 min', { does: 'heat', takesOff: false, name: 'plate', minutes: 2 }],
  ['drum out, wrapped in paper', off('lift', 'part', 'drum', { note: 'wrapped in paper' })],
  ['the hood came off easily', off('lift', 'part', 'hood')],
  [
    'balance lead out first, then the main lead',
    off('unplug', 'plug', 'balance lead'),
    off('unplug', 'plug', 'main lead'),
  ],
  // Screws that are told of a thing held it, and came out before it.
  ['took the hood off: 8 screws', screw({ count: 8, from: 'hood' }), off('lift', 'part', 'hood')],
  [
    'rear cover off (4x M4x16)',
    screw({ count: 4, thread: 'M4', lengthMm: 16, fromKnown: 'rear' }),
    off('lift', 'part', 'rear cover', { known: 'rear' }),
  ],
  ['rear cover off, 4 screws', screw({ count: 4, fromKnown: 'rear' }), off('lift', 'part', 'rear cover')],
  ['hood (2 clips, 1 broken)', off('lift', 'part', 'hood', { note: '2 clips, 1 broken' })],
  ['fan 12: 2 M5x12 > cup 2', screw({ count: 2, fromKnown: 'F12', place: { kind: 'cup', label: '2' } })],
  // Sorts that make up what was counted first are not counted twice.
  [
    '9 Y0 rear cover, 4 long 5 short > cup 1',
    screw({
      count: 4,
      name: 'long screw',
      drive: 'Y0',
      fromKnown: 'rear',
      place: { kind: 'cup', label: '1' },
    }),
    screw({
      count: 5,
      name: 'short screw',
      drive: 'Y0',
      fromKnown: 'rear',
      place: { kind: 'cup', label: '1' },
    }),
  ],
  [
    '9 screws rear cover, 4 long, 4 short',
    screw({ count: 9, fromKnown: 'rear' }),
    screw({ count: 4, name: 'long screw' }),
    screw({ count: 4, name: 'short screw' }),
  ],
  // As many places as things: each has its own.
  [
    '6 M3x8 and 2 M3x12 rear cover > cup 1, cup 2',
    screw({ count: 6, fromKnown: 'rear', place: { kind: 'cup', label: '1' } }),
    screw({ count: 2, fromKnown: 'rear', place: { kind: 'cup', label: '2' } }),
  ],
  [
    '6 M3x8 and 2 M3x12 rear cover > cup 1 and 2',
    screw({ count: 6, place: { kind: 'cup', label: '1' } }),
    screw({ count: 2, place: { kind: 'cup', label: '2' } }),
  ],
  // Marks that share their letters.
  ['J7 and 8 off', off('unplug', 'plug', 'J7', { known: 'J7' }), off('unplug', 'plug', 'J8')],
  [
    'unplug CN4, 5 and 6',
    off('unplug', 'plug', 'CN4'),
    off('unplug', 'plug', 'CN5'),
    off('unplug', 'plug', 'CN6'),
  ],
  [
    'J1 through J3 off > bag 1',
    off('unplug', 'plug', 'J1'),
    off('unplug', 'plug', 'J2'),
    off('unplug', 'plug', 'J3', { place: { kind: 'bag', label: '1' } }),
  ],
  // A lead is called by its two ends.
  ['unplug lead J6-J8', off('unplug', 'plug', 'lead J6-J8')],
  ['unplug lead from J3 to J9', off('unplug', 'plug', 'lead from J3 to J9')],
  ['unplug B1, 2', off('unplug', 'plug', 'B1'), off('unplug', 'plug', 'B2', { known: 'B2' })],
  ['unplug J7, 8 wires', off('unplug', 'plug', 'J7', { wires: 8 })],
  // What only is so, or was opened, is not off.
  ['rear cover stuck', moved('look', { name: 'rear cover', known: 'rear', note: 'stuck' })],
  [
    'rear cover stuck, pry with plastic card',
    moved('look', { known: 'rear', note: 'stuck' }),
    off('pry', 'part', 'rear cover', { known: 'rear', tool: 'plastic card' }),
  ],
  ['rear cover off, pried with plastic card', off('pry', 'part', 'rear cover', { tool: 'plastic card' })],
  ['clip broken > bag 1', off('lift', 'part', 'clip broken', { place: { kind: 'bag', label: '1' } })],
  ['5 hooks rear cover', moved('unlatch', { name: 'rear cover', known: 'rear', note: '5 hooks' })],
  ['5 hooks rear cover > bag 1', off('lift', 'part', 'hooks rear cover', { count: 5 })],
  ['lift the flap', moved('unlatch', { name: 'flap' })],
  ['flip up both latches', moved('unlatch', { name: 'both latches' })],
  ['slide FX-L out', off('unplug', 'plug', 'FX-L', { known: 'FX-L' })],
  ['slid the left stick flex (ZIF) out', off('unplug', 'plug', 'left stick flex (ZIF)', { known: 'FX-L' })],
  ['flip the ZIF latch', moved('unlatch', { name: 'ZIF latch' })],
  ['slide the locking bar of W1', moved('unlatch', { name: 'W1', known: 'W1' })],
  ['lift lever arm', off('lift', 'part', 'lever arm')],
  ['slip ring off', off('lift', 'part', 'slip ring')],
  [
    'note belt 3 turns, unplug it next (soon) > cup 2',
    moved('look', { note: 'belt 3 turns, unplug it next (soon) > cup 2' }),
  ],
  ['note: old screws, hot', moved('look', { note: 'old screws, hot' })],
  [
    'unit on its side on a blanket, careful (old feet)',
    moved('flip', { to: 'on its side', note: 'on a blanket; careful; old feet' }),
  ],
  ['nine clips rear cover', moved('unlatch', { known: 'rear', note: 'nine clips' })],
  ['hi-fi tower face down on the bench', moved('flip', { to: 'face down' })],
  ['unit on its side', moved('flip', { to: 'on its side' })],
  ['lay the unit on its back', moved('flip', { to: 'on its back' })],
  ['fan 12 face down', off('lift', 'part', 'fan 12', { known: 'F12', note: 'face down' })],
  ['6 screws rear cover, 1 is longer', screw({ count: 6, fromKnown: 'rear', note: '1 is longer' })],
  ['all 14 rear cover screws out > tub', screw({ count: 14, fromKnown: 'rear', place: { kind: 'cup' } })],
  ['remaining 3 screws > cup 2', screw({ count: 3, place: { kind: 'cup', label: '2' } })],
  ['2 more M3x6 foot', screw({ count: 2, thread: 'M3', from: 'foot' })],
  [
    'rear cover 3 screws bottom, 2 sides, 1 top',
    screw({ count: 3, from: 'rear cover bottom', fromKnown: 'rear' }),
    screw({ count: 2, name: 'screw', from: 'rear cover sides' }),
    screw({ count: 1, name: 'screw', from: 'rear cover top' }),
  ],
  ['M3x6 x5 foot', screw({ count: 5, thread: 'M3', lengthMm: 6, from: 'foot' })],
  ['unplug X2', off('unplug', 'plug', 'X2', { count: 1 })],
  ['unplug W1 both ends', off('unplug', 'plug', 'W1', { known: 'W1', note: 'both ends' })],
  ['unplug W1 at fan 12', off('unplug', 'plug', 'W1', { known: 'W1', from: 'fan 12' })],
  [
    'lamp lead off, 12 pin, locked with glue',
    off('unplug', 'plug', 'lamp lead', { contacts: 12, note: 'locked with glue' }),
  ],
  ['scraped glue off the rear cover', off('peel', 'tape', 'glue', { from: 'rear cover' })],
  ['cut the glue on J7', moved('cut', { name: 'glue on J7', known: 'J7' })],
  ['took 3 photos', moved('photograph', { name: 'photos' })],
  ['flex out, zif flips up', off('unplug', 'plug', 'flex', { note: 'zif flips up' })],
  [
    'flywheel out, watch the thrust washer',
    off('lift', 'part', 'flywheel', { note: 'watch the thrust washer' }),
  ],
  ['fan 12 lifted out and laid on the mat', off('lift', 'part', 'fan 12', { place: { kind: 'shelf' } })],
  ['fan 12 left in place', moved('look', { name: 'fan 12', note: 'left in place' })],
  ['power switch to off', moved('set', { name: 'power switch', to: 'off' })],
  ['note firmware 1.2.4 on the label', moved('look', { note: 'firmware 1.2.4 on the label' })],
  [
    'knob stuck, warmed with hair dryer 2 min',
    moved('look', { name: 'knob' }),
    moved('heat', { name: 'knob', tool: 'hair dryer', minutes: 2 }),
  ],
  ['set screw of the knob', screw({ name: 'set screw', from: 'knob' })],
  ['fuse out, 2A slow', off('lift', 'part', 'fuse', { note: '2A slow' })],
  [
    'rear cover bolts: 8 hex 3, two rusty',
    screw({ count: 8, name: 'bolt', fromKnown: 'rear', note: 'two rusty' }),
  ],
  ['axle nuts 18 mm', screw({ count: null, name: 'nut', drive: 'HEX18', from: 'axle' })],
  ['seal cut with knife', off('cut', 'tie', 'seal', { tool: 'knife' })],
  [
    'unplug motor, hall and brake at fan 12',
    off('unplug', 'plug', 'motor', { from: 'fan 12' }),
    off('unplug', 'plug', 'hall', { from: 'fan 12' }),
    off('unplug', 'plug', 'brake', { from: 'fan 12' }),
  ],
  [
    'red spade apart, black spade apart',
    off('unplug', 'plug', 'red spade'),
    off('unplug', 'plug', 'black spade'),
  ],
  ['bullets apart', off('unplug', 'plug', 'bullets')],
  ['lamp lead JST 3 pin out', off('unplug', 'plug', 'lamp lead JST', { contacts: 3 })],
  ['fan 12 stays on', moved('look', { name: 'fan 12', note: 'stays on' })],
  ['gland loosened', moved('look', { name: 'gland', note: 'loosened' })],
  ['lamp lead pulled through the frame', off('unplug', 'plug', 'lamp lead', { note: 'through the frame' })],
  // A thread is no motor, a row of terminals no thread.
  ['M1.2x2.5 tri-wing rear cover', screw({ thread: 'M1.2', lengthMm: 2.5, drive: 'Y', fromKnown: 'rear' })],
  ['wires out of terminals 1-16', off('unplug', 'plug', 'wires', { from: 'terminals 1-16' })],
  // How it is held, where it hangs, what waits: nothing of it came off.
  ['fan 12 held by 2 levers', moved('look', { name: 'fan 12', note: 'held by 2 levers' })],
  ['pad stuck to rear cover', moved('look', { name: 'pad', note: 'stuck to rear cover' })],
  ['fan 12 is hot', moved('look', { name: 'fan 12', known: 'F12', note: 'hot' })],
  ['lead out of its guide', moved('look', { name: 'lead', note: 'out of its guide' })],
  ['let it cool 20 min', moved('wait', { minutes: 20 })],
  ['3 hooks', moved('unlatch', { name: '3 hooks' })],
  ['thermal compound cleaned', moved('clean', { name: 'thermal compound' })],
  ['taped the terminals', moved('tape', { name: 'terminals' })],
  ['labelled W1', moved('mark', { name: 'W1', known: 'W1' })],
  ['J7 off, hold the latch', off('unplug', 'plug', 'J7', { note: 'hold the latch' })],
  // What it is was said before.
  [
    'slide fan 12 to the left and lift it off',
    off('lift', 'part', 'fan 12', { known: 'F12', note: 'to the left' }),
  ],
  ['W1 off battery 9', off('unplug', 'plug', 'W1', { known: 'W1', from: 'battery 9' })],
  ['fan 12: 14 connectors', off('unplug', 'plug', 'connectors', { count: 14, from: 'fan 12' })],
  ['main plug off: red, black', off('unplug', 'plug', 'main plug', { note: 'red, black' })],
  ['spades off, 6 pcs', off('unplug', 'plug', 'spades', { count: 6 })],
  ['fan 12 unsoldered, 2 points', off('unsolder', 'plug', 'fan 12', { note: '2 points' })],
  ['battery 1 pulled with the tab', off('lift', 'part', 'battery 1', { known: 'B1', tool: 'tab' })],
  ['flex plug popped off with spudger', off('unplug', 'plug', 'flex plug', { tool: 'spudger' })],
  [
    'fan 12 unclipped from 4 standoffs',
    off('unclip', 'part', 'fan 12', { known: 'F12', from: '4 standoffs' }),
  ],
  ['shim under the screw', off('lift', 'part', 'shim under the screw')],
  ['rear cover hinges down', off('lift', 'part', 'rear cover', { known: 'rear' })],
  ['every plug off fan 12', off('unplug', 'plug', 'plug', { count: null, from: 'fan 12' })],
  ['pulled the label back', off('lift', 'part', 'label', { aside: true })],
  // Looked at, measured, discharged: nothing of it came off.
  ['measured 0.3 V at the big cap', moved('measure', { name: '0.3 V at the big cap' })],
  ['discharge the big cap', moved('discharge', { name: 'big cap' })],
  ['discharge lamp off', off('lift', 'part', 'discharge lamp')],
  ['photo of all leads', moved('photograph', { name: 'all leads' })],
  ['check valve > cup 2', off('lift', 'part', 'check valve', { place: { kind: 'cup', label: '2' } })],
  // What hangs on still.
  ['swing fan 12 up', off('lift', 'part', 'fan 12', { known: 'F12', aside: true })],
  ['swing rear cover up', off('lift', 'part', 'rear cover', { known: 'rear' })],
  [
    'prop fan 12 up against the frame',
    off('lift', 'part', 'fan 12', { aside: true, place: { kind: 'shelf', label: 'against the frame' } }),
  ],
  // Screws by other words.
  ['8x self tappers rear cover', screw({ count: 8, name: 'self tapper', fromKnown: 'rear' })],
  ['3 silver from the side', screw({ count: 3, name: 'silver screw', from: 'side' })],
  ['2 small brass screws foot', screw({ count: 2, name: 'small brass screw', from: 'foot' })],
  ['2 silver knobs', off('lift', 'part', 'silver knobs', { count: 2 })],
  ['knobs x4', off('lift', 'part', 'knobs', { count: 4 })],
  ['knobs, 4 x', off('lift', 'part', 'knobs', { count: 4 })],
  ['rubber mat peeled off the deck', off('peel', 'tape', 'rubber mat', { from: 'deck' })],
  [
    'slide battery 1 out the front',
    off('slide', 'part', 'battery 1', { known: 'B1', note: 'out the front' }),
  ],
  ['slip the belt off', off('lift', 'part', 'belt')],
  ['two springs, long one left', off('lift', 'part', 'springs', { count: 2, note: 'long one left' })],
  ['1 M4 with star washer', screw({ name: 'screw with star washer', thread: 'M4' })],
  ['opened the latch of J5', { does: 'unlatch', takesOff: false, name: 'J5' }],
  // What was on a thing, or went into it, is not that thing.
  ['unplug J7 from A3 24p latch', off('unplug', 'plug', 'J7', { from: 'A3', contacts: 24, latch: true })],
  ['unplug the lead from J3', off('unplug', 'plug', 'lead from J3')],
  ['ferrite off the rear cover', off('lift', 'part', 'ferrite', { from: 'rear cover' })],
  [
    '6 M3x8 with washers from the lid',
    screw({ count: 6, name: 'screw with washer', thread: 'M3', lengthMm: 8, from: 'lid' }),
  ],
  ['1 hidden screw under the foil', screw({ name: 'hidden screw', from: 'under the foil' })],
  // Set down somewhere, without a sign.
  ['rear cover off on the mat', off('lift', 'part', 'rear cover', { place: { kind: 'shelf' } })],
  ['3 screws into the tin', screw({ count: 3, place: { kind: 'cup' } })],
  ['lift the card on the tray', off('lift', 'part', 'card on the tray')],
  ['unplug W1 in the box', off('unplug', 'plug', 'W1 in the box')],
];

describe('lines as people write them', () => {
  it('are a hundred and twenty at least', () => {
    expect(TABLE.length).toBeGreaterThanOrEqual(120);
    expect(new Set(TABLE.map(([t]) => t)).size).toBe(TABLE.length);
  });
  it.each(TABLE)('%s', (line, ...entries) => {
    const read = readText(line, NAMES);
    expect(read.entries).toHaveLength(entries.length);
    read.entries.forEach((e, k) => {
      expect(e).toMatchObject(entries[k] as object);
    });
    expect(read.doubtful.filter((d) => d.nearest.length === 0)).toEqual([]);
  });
});

describe('what is doubtful', () => {
  it('is listed with the nearest names and where it stands', () => {
    expect(readText('4 x M3x8 PH1 rear covr', NAMES).doubtful).toEqual([
      { text: 'rear covr', at: 13, nearest: ['rear'] },
    ]);
    expect(readText('lift sealed dor', NAMES).doubtful[0]?.nearest).toEqual(['door']);
    expect(readText('lift lid', NAMES).doubtful[0]?.nearest).toEqual(['lid-a', 'lid-b']);
    // What is not there did not come off.
    expect(readText('1 screw missing', NAMES).doubtful).toEqual([{ text: 'missing', at: 8, nearest: [] }]);
    expect(readText('lift lid @@ 77', NAMES).doubtful[0]).toEqual({ text: '@@', at: 9, nearest: [] });
    // Any place is one; what is nearly a cup, and what is a whole sentence, is asked about.
    expect(readText('lift fan 12 > drawer 3', NAMES)).toMatchObject({
      entries: [{ place: { kind: 'shelf', label: 'drawer 3' } }],
      doubtful: [],
    });
    expect(readText('lift fan 12 > cpu 3', NAMES)).toMatchObject({
      entries: [{ place: { kind: 'shelf', label: 'cpu 3' } }],
      doubtful: [{ text: 'cpu 3', at: 14, nearest: [] }],
    });
    expect(readText('lift fan 12 > big box', NAMES).doubtful).toEqual([]);
    expect(readText('lift fan 12 > car boot', NAMES).doubtful).toEqual([]);
    expect(readText('lift fan 12 > where the old one was kept before', NAMES).doubtful).toHaveLength(1);
  });
  it('is what goes back: nothing of it came off', () => {
    for (const text of ['refitted the hood', 'put 2 screws back', 'reseated J7'])
      expect(readText(text, NAMES).doubtful[0]).toMatchObject({ text: text.split(' ')[0], at: 0 });
  });
  it('is no other number or letter: fan 13 is not nearly fan 12', () => {
    expect(nearest('fan 13', NAMES)).toEqual([]);
    expect(nearest('lid C', NAMES)).toEqual([]);
    expect(nearest('fann 12', NAMES).map((n) => n.id)).toEqual(['F12']);
    expect(nearest('rear cover', NAMES)).toEqual([]);
    // What a thing is stands last in its name.
    const watch: Named[] = [
      { id: 'W1', name: 'cell flex', kind: 'element' },
      { id: 'B1', name: 'glued pouch cell', kind: 'element' },
    ];
    expect(nearest('cell', watch).map((n) => n.id)).toEqual(['B1', 'W1']);
    expect(nearest('flex', watch).map((n) => n.id)).toEqual(['W1']);
    expect(nearest('door lead', [{ id: 'W2', name: 'motor lead', kind: 'plug' }])).toEqual([]);
    expect(nearest('mottor lead', [{ id: 'W2', name: 'motor lead', kind: 'plug' }])).toHaveLength(1);
  });
  it('is nothing on a unit without names', () => {
    expect(readText('4 x M3x8 PH1 rear covr').doubtful).toEqual([]);
  });
});

describe('an entry as it is printed', () => {
  const word = fc.constantFrom('hinge', 'left rail', 'fan 3', 'rear frame', 'shield', 'bracket 2', 'foot');
  const place = fc.constantFrom(
    { kind: 'cup' as const, label: '4' },
    { kind: 'bag' as const, label: 'B' },
    { kind: 'left in the part' as const },
    { kind: 'in its own hole' as const },
    { kind: 'taped to the photo' as const },
    { kind: 'shelf' as const },
  );
  const drives = fc.constantFrom(...DRIVES.flatMap((d) => d.sizes.map((s) => `${d.id}${s}`)));
  const some = <T>(a: fc.Arbitrary<T>) => fc.option(a, { nil: undefined });
  const bare = (e: object) =>
    Object.fromEntries(Object.entries(e).filter(([, v]) => v !== undefined)) as unknown as LineEntry;
  const fastener = fc
    .record({
      name: fc.constantFrom('screw', 'nut', 'bolt', 'washer'),
      count: fc.option(fc.integer({ min: 1, max: 40 }), { nil: null }),
      thread: fc.constantFrom('M2', 'M2.5', 'M3', 'M6', 'ST3.5', '6-32', '1/4-20'),
      lengthMm: some(fc.constantFrom(4, 6, 6.5, 12, 25)),
      drive: some(drives),
      head: some(fc.constantFrom('pan', 'flat', 'button')),
      from: some(word),
      place: some(place),
    })
    .map((f) =>
      bare({
        does: 'undo',
        takesOff: true,
        kind: 'fastener',
        ...f,
        // Inch threads have inch lengths.
        ...(f.thread.includes('-') && f.lengthMm ? { lengthMm: 12.7 } : {}),
      }),
    );
  const thing = fc
    .record({
      does: fc.constantFrom('lift', 'slide', 'pry', 'unclip'),
      name: word,
      count: fc.constantFrom(1, 2, 5, null),
      place: some(place),
      note: some(fc.constantFrom('hooks at the left', 'tabs break')),
    })
    .map((t) => bare({ takesOff: true, kind: 'part', ...t }));
  const plug = fc
    .record({
      name: fc.constantFrom('J7', 'W12', 'fan lead 2'),
      contacts: some(fc.integer({ min: 2, max: 60 })),
      wires: some(fc.integer({ min: 1, max: 40 })),
      aside: some(fc.constant(true as const)),
      latch: some(fc.constant(true as const)),
      place: some(place),
    })
    .map((p) => bare({ does: 'unplug', takesOff: true, kind: 'plug', count: 1, ...p }));
  const standing = fc
    .record({
      does: fc.constantFrom(
        'heat',
        'solvent',
        'clean',
        'look',
        'measure',
        'discharge',
        'mark',
        'solder',
        'unlatch',
      ),
      name: word,
      minutes: some(fc.constantFrom(1, 2.5, 10)),
      tool: some(fc.constantFrom('swab', 'plastic card')),
    })
    .map((m) => bare({ takesOff: false, ...m }));
  it('reads back as the same entry', () => {
    fc.assert(
      fc.property(fc.oneof(fastener, thing, plug, standing), (entry) => {
        const text = printEntry(entry);
        expect(readText(text).entries, text).toEqual([entry]);
      }),
      { numRuns: 600 },
    );
  });
  it('says a flip and a position', () => {
    for (const line of ['flip bottom', 'turn lever to open', 'set S1 to 3']) {
      const { entries } = readText(line);
      expect(readText(printEntry(entries[0] as LineEntry)).entries).toEqual(entries);
    }
  });
});

describe('whatever is typed', () => {
  const words = [
    ...['4', 'x', 'M3x8', 'PH1', 'lid A', '>', 'cup', '3', 'unplug', 'J7', 'with', 'T30', '(', 'note', ','],
    ...['and', 'one', 'hex', '1/8', 'heat', '2 min', 'flip', 'turn', 'to', 'at', 'several', 'all', 'point'],
    ...[
      'by',
      'm',
      'aside',
      '24p',
      '-',
      '+',
      'cut',
      '50 mm',
      ')',
      'set',
      'plug',
      'tape',
      'fan 12',
      '6-32x1/2',
    ],
  ];
  it('is read without a name that is empty, a length that is none, or a figure that is no number', () => {
    fc.assert(
      fc.property(
        fc.oneof(
          fc.array(fc.constantFrom(...words), { maxLength: 10 }).map((a) => a.join(' ')),
          fc.string({ unit: 'binary', maxLength: 60 }),
        ),
        (text) => {
          for (const e of readText(text, NAMES).entries) {
            expect(e.name).not.toBe('');
            expect(e.from).not.toBe('');
            if (e.lengthMm !== undefined) expect(e.lengthMm).toBeGreaterThan(0);
            if (typeof e.count === 'number') expect(Number.isInteger(e.count) && e.count >= 0).toBe(true);
            expect(JSON.stringify(e)).not.toMatch(/NaN/);
            expect(VERBS.map((v) => v.does)).toContain(e.does);
          }
        },
      ),
      { numRuns: 3000 },
    );
  });
});

describe('verbs', () => {
  it('have words of their own, and each says whether it takes something off', () => {
    const words = VERBS.flatMap((v) => v.words);
    expect(new Set(words).size).toBe(words.length);
    for (const v of VERBS) expect(v.words[0], v.does).toBeTruthy();
    expect(takesOff('lift')).toBe(true);
    expect(takesOff('heat')).toBe(false);
    expect(takesOff('carry')).toBe(true);
  });
});

describe('the twelve commonest entries of a tear-down', () => {
  // What is written on paper beside the unit, and the shortest line that says the same. Common practice, no source.
  const PEN_AND_KEYS: [pen: string, keys: string][] = [
    ['4 screws M3x8 PH1, rear cover, cup 3', '4xM3x8 PH1 rear cover > cup 3'],
    ['2 screws M3x12 PH1, rear cover', '2xM3x12 PH1 rear cover'],
    ['1 screw M2x4 PH0, hinge', 'M2x4 PH0 hinge'],
    ['rear cover off, shelf', 'rear cover'],
    ['plug J7 off, 24 pins', 'unplug J7 24p'],
    ['main plug unplugged', 'main plug'],
    ['unit turned, bottom up', 'flip bottom'],
    ['tie T1 cut, new one', 'cut T1'],
    ['tape off, lead W1', 'peel tape W1'],
    ['heated, 2 minutes', 'heat 2 min'],
    ['fan 12 out, in bag 2', 'fan 12 > bag 2'],
    ['6 screws, not measured', '6 screws'],
  ];
  it.each(PEN_AND_KEYS)('%s: %s', (pen, keys) => {
    expect(readText(keys, NAMES).entries).toHaveLength(1);
    expect(readText(keys, NAMES).doubtful).toEqual([]);
    // Enter counts as a key.
    expect(keys.length + 1).toBeLessThanOrEqual(pen.length);
  });
  it('take a third fewer keys than signs on paper', () => {
    const sum = (of: (row: [string, string]) => number) => PEN_AND_KEYS.reduce((n, row) => n + of(row), 0);
    const pen = sum(([p]) => p.length);
    const keys = sum(([, k]) => k.length + 1);
    expect([pen, keys]).toEqual([266, 170]);
  });
});

describe('several things that one verb is said of', () => {
  const known: Named[] = [
    { id: 'W3', name: 'fan lead', kind: 'plug' },
    { id: 'W4', name: 'lamp lead', kind: 'plug' },
    { id: 'A1', name: 'A1', kind: 'element' },
  ];
  const moves = (text: string, names: Named[] = []) =>
    readText(text, names).entries.map(
      (e) => `${e.does} ${e.name}${e.place ? ` ${e.place.label ?? e.place.kind}` : ''}`,
    );
  it.each<[string, string[]]>([
    ['unplug J7, J8', ['unplug J7', 'unplug J8']],
    ['J7 J8 J9 unplugged', ['unplug J7', 'unplug J8', 'unplug J9']],
    ['unplug W3 W4', ['unplug W3', 'unplug W4']],
    ['W3/W4 off', ['unplug W3', 'unplug W4']],
    ['unplug J7 and J8', ['unplug J7', 'unplug J8']],
    ['unplug J7 + J8 & J9', ['unplug J7', 'unplug J8', 'unplug J9']],
    ['unplug the plugs J7, J8, and J9', ['unplug J7', 'unplug J8', 'unplug J9']],
    ['peel W4, W5 > cup 2', ['peel W4 2', 'peel W5 2']],
    ['unplug J7, J8; lift shield', ['unplug J7', 'unplug J8', 'lift shield']],
    // One thing, by its name.
    ['unplug J7', ['unplug J7']],
    ['lift pen and ink holder', ['lift pen and ink holder']],
    ['unplug J7 motor, J8', ['unplug J7 motor', 'unplug J8']],
    ['unplug J7 from A1, A2', ['unplug J7']],
    // Parted by commas alone, each is a thing; how it is, or how it was freed, is none.
    ['lift hood, grille > shelf', ['lift hood shelf', 'lift grille shelf']],
    ['removed hood, grille, paper tray', ['remove hood', 'remove grille', 'remove paper tray']],
    ['lift hood, hooks at the left', ['lift hood']],
    ['lift hood, scratched', ['lift hood']],
    ['lift hood, careful with the flex', ['lift hood']],
    ['unplug J7, latch open', ['unplug J7']],
    ['unplug black and white', ['unplug black and white']],
    ['unplugged J7 and the fan lead', ['unplug J7', 'unplug fan lead']],
    ['unplugged the fan lead and J7', ['unplug fan lead', 'unplug J7']],
    ['unplugged the lead of J3 and J7', ['unplug lead of J3 and J7']],
    ['unplug J7, the fan lead and the lamp lead', ['unplug J7', 'unplug fan lead', 'unplug lamp lead']],
    ['unplug J7, the fan lead and J8', ['unplug J7', 'unplug fan lead', 'unplug J8']],
    ['unplug J7 and lead 4', ['unplug J7 and lead 4']],
  ])('“%s”', (text, want) => {
    expect(moves(text)).toEqual(want);
  });
  it.each(['unplug W3 W4', 'W3/W4 unplugged', 'W3 W4 unplugged'])('%s, both of them on the map', (text) => {
    expect(moves(text, known)).toEqual(['unplug W3', 'unplug W4']);
  });
  it('names that are known, what follows the last is said of it, and no stretch is read twice', () => {
    const read = readText('unplug fan lead and lamp lead 4p latch', known);
    expect(read.entries.map((e) => [e.name, e.contacts, e.latch])).toEqual([
      ['fan lead', undefined, undefined],
      ['lamp lead', 4, true],
    ]);
    expect(read.doubtful).toEqual([]);
    const at = read.spans.map((s) => `${s.from} ${s.to}`);
    expect(new Set(at).size).toBe(at.length);
    expect(read.spans.filter((s) => s.as === 'verb')).toHaveLength(1);
  });
  it('screws that “and” joins come from one thing, and lie together', () => {
    expect(readText('6 M3x8 screws and 6 washers from the fan lead > cup 3', known).entries).toMatchObject([
      { count: 6, name: 'screw', from: 'fan lead', place: { kind: 'cup', label: '3' } },
      { count: 6, name: 'washer', from: 'fan lead', place: { kind: 'cup', label: '3' } },
    ]);
  });
  it('what a thing is at, or comes from, is no list', () => {
    expect(moves('unplug J7 from A1 and A2', known)).toHaveLength(1);
    expect(moves('4 x M3x8 J7, J8')).toHaveLength(1);
  });
  it.each([
    'unplug J7, J8 > cup 2',
    'unplugged the J7 and the J8',
    '2 torx from foot > tin by the window',
    'four small screws and a washer > cup 1',
    'took the hood off > bench left',
    'pulled CN4',
    'removed the two screws holding the hood',
  ])('each reads back as itself: %s', (line) => {
    const { entries } = readText(line);
    expect(entries.length).toBeGreaterThan(0);
    for (const e of entries) expect(readText(printEntry(e)).entries).toEqual([e]);
  });
});

describe('what is kept once', () => {
  const places = (text: string) => readText(text).entries.map((e) => e.place?.kind);
  it.each([
    ['4 M3x8 and 2 washers > cup 1', ['cup', 'cup']],
    // Parted by a comma, each stands for itself.
    ['11 x M3x6 back, 2 x M3x8 back > cup 2', [undefined, 'cup']],
    ['4 screws and lift lid > shelf', [undefined, 'shelf']],
    ['4 M3x8 > bag 1 and 2 washers > cup 1', ['bag', 'cup']],
  ])('“%s”', (text, want) => {
    expect(places(text)).toEqual(want);
  });
});
