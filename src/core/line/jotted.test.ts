import { describe, expect, it } from 'vitest';
import { readText } from '.';
import { inShort, type Row, unit } from './jotted.fixture';

const SCREEN = unit(['table foot', 'back shell'], {
  MB: 'main board',
  W2: 'video ribbon',
  TC: 'panel timing board',
  PS: 'power board',
  BL: 'LED strips',
});
const OF_SCREEN: Row[] = [
  // What is only found to be so.
  ['fuse F1 blown', 'look: fuse F1 (blown)'],
  ['MB dead', 'look: MB (dead)'],
  ['PS open', 'look: PS (open)'],
  ['core 3 open', 'look: core 3 (open)'],
  ['measured PS, open', 'measure: PS (open)'],
  ['checked W2: open', 'look: W2 (open)'],
  ['R12 open, replaced later', 'look: R12 (replaced later; open)'],
  ['back shell open', 'lift part: back shell'],
  ['drawer open', 'lift part: drawer'],
  // A tray, a guide or a clamp of a lead is no lead, a holder of a clip no clip.
  ['cable tray off', 'lift part: cable tray'],
  ['ribbon guide off', 'lift part: ribbon guide'],
  ['unclip clip holder', 'unclip part: clip holder'],
  ['lead screw off', 'undo: 1 x screw < lead'],
  ['CN7/CN8 unplugged', 'unplug plug: CN7', 'unplug plug: CN8'],
  ['unplug CN7/8', 'unplug plug: CN7', 'unplug plug: CN8'],
  ['lead J3/J7 off', 'unplug plug: lead J3/J7'],
  ['tape lifted, W2 was pulled out', 'lift tape: tape', 'unplug plug: W2'],
  ['MB out, W2 not pulled', 'lift part: MB', 'look: W2 (not pulled)'],
  ['seal cut round the shell', 'cut tie: seal round the shell'],
  [
    '6 M4x12 back shell, the back shell > bench',
    'undo: 6 x screw M4x12 < back shell',
    'lift part: back shell > shelf',
  ],
  [
    'laid it face down on a blanket, foot off: 4 M4x12 and 2 M4x20',
    'flip: to face down (on a blanket)',
    'undo: 4 x screw M4x12 < table foot',
    'undo: 2 x screw M4x20 < table foot',
    'lift part: table foot',
  ],
  [
    '18 screws round the back shell: 12 ST3x10 black, 4 M4x12 at the stand, 2 tapping with washer near HDMI',
    'undo: 12 x black screw ST3x10 < back shell',
    'undo: 4 x screw M4x12 < back shell, stand',
    'undo: 2 x screw with washer < back shell, tapping near HDMI',
  ],
  ['back shell off, 3 snaps at the bottom let go', 'lift part: back shell', 'unlatch: 3 snaps at the bottom'],
  ['antenna cable unplugged from tuner', 'unplug plug: antenna cable < tuner'],
  [
    'unplugged W2 both ends, flip latch at TC, pull tab at MB',
    'unplug plug: W2 (both ends)',
    'unlatch: TC',
    'unlatch: MB',
  ],
  [
    'speaker leads unplugged CN3 left, CN4 right',
    'unplug plug: speaker leads CN3 left',
    'unplug plug: speaker leads CN4 right',
  ],
  ['foot off, 4 screws', 'undo: 4 x screw < table foot', 'lift part: table foot'],
  [
    'set face down, stand off, 4 x M4x12 in cup 1',
    'flip: to face down',
    'undo: 4 x screw M4x12 < stand > 1',
    'lift part: stand',
  ],
  [
    '14 screws back shell, 10 short 4 long',
    'undo: 10 x short screw < back shell',
    'undo: 4 x long screw < back shell',
  ],
  [
    '14 back screws: 10 short outer edge, 4 long by the stand',
    'undo: 10 x short screw < back, outer edge',
    'undo: 4 x long screw < back, by the stand',
  ],
  [
    'removed 14 screws (10 short, 4 long) from back',
    'undo: 10 x short screw < back',
    'undo: 4 x long screw < back',
  ],
  ['unclipped the bottom edge, shell off', 'unclip part: bottom edge', 'lift part: back shell'],
  ['pulled CN1 and CN2 off power board', 'unplug plug: CN1', 'unplug plug: CN2 < power board'],
  [
    'disconnect CN1 (backlight), CN2 (main) and CN3 (mains in)',
    'unplug plug: CN1 (backlight)',
    'unplug plug: CN2 (main)',
    'unplug plug: CN3 (mains in)',
  ],
  ['CN1 off, CN2 off', 'unplug plug: CN1', 'unplug plug: CN2'],
  ['backlight plug out, 2 pins, lock tab', 'unplug plug: backlight plug (lock tab)'],
  ['took out main board, 4 screws M3x6', 'undo: 4 x screw M3x6 < main board', 'lift part: main board'],
  ['main board out with its shield', 'lift part: main board (with its shield)'],
  ['PS: 6 screws M3x8, out', 'undo: 6 x screw M3x8 < PS'],
  ['power board 6xM3x8, one under tape', 'undo: 6 x screw M3x8 < power board (one under tape)'],
  ['TC shield, 2 screws, off', 'undo: 2 x screw < TC shield', 'lift part: TC shield'],
  [
    'unplugged both panel flexes from TC, locks flipped up',
    'unplug plug: 2 x panel flexes from TC (locks flipped up)',
  ],
  ['left flex, right flex out', 'unplug plug: left flex', 'unplug plug: right flex'],
  [
    'wifi module unclipped from MB, 1 small screw',
    'undo: 1 x small screw < wifi module',
    'unclip part: wifi module < MB',
  ],
  ['IR window board pulled down out of its slot', 'lift part: IR window board < slot'],
  [
    'speakers lifted out, left and right, rubber mounts',
    'lift part: speakers (left and right)',
    'lift part: rubber mounts',
  ],
  [
    '2 speakers off, 2 screws each with rubber washers',
    'lift part: 2 x speakers',
    'undo: 4 x screw with rubber washer < speakers',
  ],
  ['cable tie cut by CN4', 'cut tie: cable tie by CN4'],
  ['tape off at W2', 'peel tape: tape < W2'],
  ['ribbon tape lifted, W2 pulled out straight', 'lift tape: ribbon tape', 'unplug plug: W2'],
  ['W2 creased at the fold', 'look: W2 (creased at the fold)'],
  ['W2 out: blue stripe facing up', 'unplug plug: W2 (blue stripe facing up)'],
  ['J1 ground screw, star washer', 'undo: 1 x screw < J1 ground', 'undo: 1 x star washer'],
  ['bezel off, 8 clips', 'lift part: bezel', 'unlatch: 8 clips'],
  ['diffuser sheets off, 3, order marked', 'lift part: 3 x diffuser sheets (order marked)'],
  ['LED strip 2 out, glued', 'lift part: LED strip 2 (glued)'],
  ['lens of LED 4 fell off', 'lift part: lens of LED 4'],
  ['one of the back screws is stripped', 'look: one of the back screws (stripped)'],
  ['screw from under the label, black, T10', 'undo: 1 x screw T10 < under the label black'],
  ['4 T10 from back', 'undo: 4 x screw T10 < back'],
  [
    'back shell off but still hanging on the IR lead',
    'lift part aside: back shell (but still hanging on the IR lead)',
  ],
  ['unhook the IR lead, then shell off', 'unclip part: IR lead', 'lift part: back shell'],
  ['shell lifted away, beware antenna lead', 'lift part: back shell (beware antenna lead)'],
  ['all screws of the back shell out, 18', 'undo: 18 x screw < back shell'],
  ['put 4 stand screws in a bag', 'undo: 4 x screw < stand > bag'],
  ['4 stand screws > bag 1', 'undo: 4 x screw < stand > 1'],
  ['mains lead unplugged from the inlet board', 'unplug plug: mains lead < inlet board'],
  ['unplug mains inlet', 'unplug plug: mains inlet'],
  ['HDMI side panel off', 'lift part: HDMI side panel'],
  [
    'side AV bracket, 2 screws M3x6, off',
    'undo: 2 x screw M3x6 < side AV bracket',
    'lift part: side AV bracket',
  ],
  ['CN501 CN502 CN503 unplugged', 'unplug plug: CN501', 'unplug plug: CN502', 'unplug plug: CN503'],
  [
    'unplugged CN501 (2 wire), CN502 (12 wire), CN503 (keys)',
    'unplug plug: CN501 (2 wire)',
    'unplug plug: CN502 (12 wire)',
    'unplug plug: CN503 (keys)',
  ],
  ['power lead MB to PS unplugged at both ends', 'unplug plug: power lead MB to PS (at both ends)'],
  ['power harness off both boards', 'unplug plug: power harness < both boards'],
  ['lead PS-MB off at PS', 'unplug plug: lead PS-MB < PS'],
  [
    'desoldered the two backlight wires, red +, black -',
    'unsolder plug: 2 x backlight wires (red +, black -)',
  ],
  ['cut cable ties (3)', 'cut tie: 3 x cable ties'],
  [
    'removed heatsink, 2 spring screws, paste underneath',
    'undo: 2 x spring screw < heatsink (paste underneath)',
    'remove part: heatsink',
  ],
  ['fuse F1 out', 'lift part: fuse F1'],
  ['fuse F1 pulled, 3.15 A slow', 'lift part: fuse F1 (3.15 A slow)'],
];

const PRINTER = unit(['paper door', 'left side panel', 'rear cage'], {
  A1: 'engine board',
  PH: 'print head',
  W3: 'head flex',
  M1: 'feed motor',
  S2: 'paper sensor',
  PS1: '24 V supply',
  FU: 'fuser unit',
  B1: 'clock cell',
});
const OF_PRINTER: Row[] = [
  [
    'side panel off, 3 tabs, 2 screws M3x8 at the back',
    'lift part: left side panel',
    'unlatch: 3 tabs',
    'undo: 2 x screw M3x8 < back',
  ],
  ['slid the left side panel back 10 mm and lifted', 'lift part: left side panel (back 10 mm)'],
  [
    'paper door open, lift pin pulled out on the left',
    'lift part: paper door',
    'lift part: lift pin on the left',
  ],
  ['hinge pin of the paper door out', 'lift part: hinge pin of the paper door'],
  [
    'e-clip and washer from the feed roller shaft',
    'lift part: e-clip',
    'undo: 1 x washer < feed roller shaft',
  ],
  ['2 e-clips off the pickup shaft > cup 4', 'lift part: 2 x e-clips < pickup shaft > 4'],
  ['3 springs, 2 short 1 long, cup 5', 'lift part: 3 x springs > 5 (2 short, 1 long)'],
  ['gear train cover off, grease', 'lift part: gear train cover (grease)'],
  [
    'print head unlatched and lifted out, flex still on',
    'unlatch: print head',
    'lift part aside: print head (flex still on)',
  ],
  ['W3 out of the ZIF at PH, flap up', 'unplug plug: W3 < ZIF at PH (flap up)'],
  ['head flex: opened zif and pulled straight out', 'unlatch: zif', 'unplug plug: head flex'],
  ['PH out', 'lift part: PH'],
  ['fuser unit hot, waited 15 min', 'look: fuser unit (hot)', 'wait: fuser unit 15 min'],
  [
    'fuser unit slid out to the rear, 2 blue levers',
    'slide part: fuser unit (to the rear)',
    'unlatch: 2 blue levers',
  ],
  ['fuser lead at A1 unplugged, squeeze the catch', 'unplug plug: fuser lead at A1 (squeeze the catch)'],
  ['sensor S2 unclipped, plug CN7 off', 'unclip part: S2', 'unplug plug: CN7'],
  ['CN7 / CN8 unplugged', 'unplug plug: CN7', 'unplug plug: CN8'],
  ['CN7 & CN8', 'unplug plug: CN7', 'unplug plug: CN8'],
  [
    'engine board out: 5 screws M3x6 and 1 standoff',
    'undo: 5 x screw M3x6 < engine board',
    'undo: 1 x standoff < engine board',
    'lift part: engine board',
  ],
  ['1 hex standoff 5 mm', 'undo: 1 x standoff HEX5'],
  [
    'motor M1 off, 2 screws M3x5 with threadlock',
    'undo: 2 x screw M3x5 < M1 (with threadlock)',
    'lift part: M1',
  ],
  ['M1 off - 2 screws', 'undo: 2 x screw < M1', 'lift part: M1'],
  ['belt slipped off the motor pulley', 'lift part: belt < motor pulley'],
  ['took belt off', 'lift part: belt'],
  [
    'grounding strap off the cage, 1 screw',
    'undo: 1 x screw < grounding strap',
    'lift part: grounding strap < cage',
  ],
  ['mains socket, 2 countersunk', 'undo: 2 x screw countersunk < mains socket', 'lift part: mains socket'],
  [
    '24V supply: earth lead, 1 nut with star washer',
    'unplug plug: earth lead < PS1',
    'undo: 1 x nut with star washer',
  ],
  [
    '24 V supply lifted out, 4 screws, insulating sheet below it',
    'undo: 4 x screw < 24 V supply (insulating sheet below it)',
    'lift part: 24 V supply',
  ],
  ['sheet under PS1 stays', 'look: sheet under PS1 (stays)'],
  ['clock cell pried out with plastic pick', 'pry part: clock cell with plastic pick'],
  ['battery out (cr2032)', 'lift part: battery (cr2032)'],
  ['wiped rollers with alcohol', 'clean: rollers with alcohol'],
  ['cleaned the print head, lint free cloth', 'clean: print head (lint free cloth)'],
  ['took 2 photos', 'photograph: photos'],
  ['label on each plug', 'mark: each plug'],
  ['moved jumper JP1 from 1-2 to 2-3', 'set: jumper JP1 to 2-3 (from 1-2)'],
  ['JP1 jumper off', 'lift part: JP1 jumper'],
  ['set dip switch 3 to off', 'set: dip switch 3 to off'],
  ['turned pot VR1 to the middle', 'turn: pot VR1 to the middle'],
  ['knob pulled off, collar nut 10mm under it', 'lift part: knob', 'undo: 1 x nut HEX10 < collar under it'],
  [
    '6 black pan head screws, 1 longer one at the rear',
    'undo: 6 x black screw pan',
    'undo: 1 x longer screw < rear',
  ],
  ['1 longer screw rear middle', 'undo: 1 x longer screw < rear middle'],
  ['4 identical screws', 'undo: 4 x screw'],
  ['the other 2 screws', 'undo: 2 x screw'],
  ['rubber feet peeled, 4 screws beneath', 'peel tape: rubber feet', 'undo: 4 x screw < beneath rubber feet'],
  ['4 rubber feet off', 'lift part: 4 x rubber feet'],
  ['2 of 4 screws out, other two seized', 'undo: 2 x screw (other two seized)'],
  ['drilled one screw out', 'undo: 1 x screw'],
  ['broke a tab off the left side panel', 'look: (broke a tab off the left side panel)'],
  ['cracked the corner of the paper door', 'look: (cracked the corner of the paper door)'],
  ['drum out, into dark bag', 'lift part: drum > dark bag'],
  ['toner cartridge out', 'lift part: toner cartridge'],
  ['tray 2 out', 'lift part: tray 2'],
  ['paper jam removed, scrap of paper', 'remove part: paper jam (scrap of paper)'],
];

const CHAIR = unit(['seat pan', 'battery box lid', 'controller cover'], {
  F1: 'main fuse',
  A1: 'motor controller',
  JS: 'joystick',
  W1: 'joystick cable',
  ML: 'left motor',
  MR: 'right motor',
});
const OF_CHAIR: Row[] = [
  ['seat pan tipped forward', 'lift part aside: seat pan'],
  ['box lid off', 'lift part: battery box lid'],
  ['neg terminal off first, 10 mm', 'unplug plug: neg terminal (10 mm)'],
  ['battery minus undone, M6 bolt + washer', 'undo: 1 x bolt M6 < battery minus', 'undo: 1 x washer'],
  ['battery plus off, insulated with tape', 'unplug plug: battery plus', 'tape: battery plus with tape'],
  ['both battery leads off, minus first', 'unplug plug: 2 x battery leads (minus first)'],
  ['pack main lead pulled, red grip', 'unplug plug: pack main lead (red grip)'],
  ['pack out, strap undone', 'lift part: pack', 'unlatch: strap'],
  ['2 batteries lifted out, 11 kg each', 'lift part: 2 x batteries (11 kg each)'],
  ['fuse 50A pulled from holder', 'lift part: fuse 50A < holder'],
  ['main fuse out, 50 A', 'lift part: main fuse (50 A)'],
  ['controller cover, 4 T20', 'undo: 4 x screw T20 < controller cover', 'lift part: controller cover'],
  ['T20 x 4 controller cover', 'undo: 4 x screw T20 < controller cover'],
  [
    'unplugged left motor (4 pin), right motor (4 pin)',
    'unplug plug: left motor (4 pin)',
    'unplug plug: right motor (4 pin)',
  ],
  ['left motor plug off, corroded', 'unplug plug: left motor plug (corroded)'],
  ['ML plug out of A1', 'unplug plug: ML plug < A1'],
  ['brake connector left, push tab', 'unplug plug: brake connector left (push tab)'],
  ['A1 unbolted, 4 M5x16, heat paste', 'undo: 4 x screw M5x16 < A1 (heat paste)'],
  ['A1 lifted out, paste on the back', 'lift part: A1 (paste on the back)'],
  ['motor controller A1 off the plate', 'lift part: A1 < plate'],
  [
    'joystick pod open, 3 T8, one longer at the front',
    'undo: 3 x screw T8 < joystick pod (one longer at the front)',
    'lift part: joystick pod',
  ],
  ['JS out, W1 still in the arm tube', 'lift part: JS', 'look: W1 (still in the arm tube)'],
  ['cable W1 pulled out of the tube, string tied on', 'unplug plug: W1 < tube (string tied on)'],
  ['grommet pushed out', 'lift part: grommet'],
  ['5 ties cut along the arm', 'cut tie: 5 x ties along the arm'],
  [
    'wheel off, axle nut 17 mm, split pin',
    'lift part: wheel',
    'undo: 1 x nut HEX17 < axle',
    'lift part: split pin',
  ],
  ['left wheel, 5 nuts M8', 'undo: 5 x nut M8 < left wheel', 'lift part: left wheel'],
  ['anti tip wheel left, clip pin', 'lift part: anti tip wheel left (clip pin)'],
  ['brake lever released', 'unclip part: brake lever'],
  ['tyre deflated', 'look: tyre (deflated)'],
  ['gasket of the lid torn', 'look: gasket of the lid (torn)'],
  ['sealing ring lifted > bag 2', 'lift part: sealing ring > 2'],
  ['conformal coat scraped at R12', 'peel tape: conformal coat at R12'],
  ['shunt R12 desoldered', 'unsolder plug: shunt R12'],
  ['FET Q3 out', 'lift part: FET Q3'],
  ['measured R12: 0.5 mohm', 'measure: R12 (0.5 mohm)'],
  ['sticker over screw hole peeled', 'peel tape: sticker over screw hole'],
  ['hidden screw under label x1', 'undo: 1 x hidden screw < under label'],
  ['screws: 4 front, 2 rear', 'undo: 4 x screw < front', 'undo: 2 x screw < rear'],
  ['M4x10 x 6', 'undo: 6 x screw M4x10'],
  ['six m4 by 10', 'undo: 6 x screw M4x10'],
  ['m4x10, 6 off', 'undo: 6 x screw M4x10'],
  ['6 off M4x10', 'undo: 6 x screw M4x10'],
  ['6pcs M4x10 pan head', 'undo: 6 x screw pan M4x10'],
  ['nyloc nut M8 x2', 'undo: 2 x nyloc nut M8'],
  ['wing nut off battery clamp', 'undo: 1 x wing nut < battery clamp'],
  ['clamp bar off, 2 wing nuts', 'undo: 2 x wing nut < clamp bar', 'lift part: clamp bar'],
  ['cotter pin out', 'lift part: cotter pin'],
  ['zip tie x3', 'cut tie: 3 x zip tie'],
];

const WATCH = unit(['back glass', 'lid'], {
  B1: 'cell',
  D1: 'display',
  A1: 'main board',
  W1: 'display flex',
  FAN: 'fan',
  X1: 'string terminals',
});
const OF_WATCH: Row[] = [
  ['back glass off with heat pad 80 C 5 min', 'lift part: back glass 5 min with heat pad 80 C'],
  ['battery unplugged, peeled from adhesive', 'unplug plug: battery', 'peel part: battery'],
  ['crown flex unscrewed', 'undo: some x screw < crown flex'],
  ['cameras left in', 'look: cameras (left in place)'],
  ['sim tray out', 'lift part: sim tray'],
  ['unsoldered the cell tabs', 'unsolder plug: cell tabs'],
  ['cell leads: red desoldered, black desoldered', 'unsolder plug: red < cell leads', 'unsolder plug: black'],
  ['bottom screws 2x pentalobe', 'undo: 2 x screw five-lobe < bottom'],
  [
    '4 corner screws M1.4x3, 2 middle M1.4x5',
    'undo: 4 x screw M1.4x3 < corner',
    'undo: 2 x screw M1.4x5 < middle',
  ],
  ['heatsink 4 spring screws in X order', 'undo: 4 x spring screw < heatsink in X order'],
  ['fan, 3 screws, plug first', 'undo: 3 x screw < fan (plug first)', 'lift part: fan'],
  ['spade lugs x3 off rocker', 'lift part: 3 x spade lugs < rocker'],
  ['dc isolator off, locked', 'set: dc isolator to off (locked)'],
  ['waited 5 min for the caps', 'wait: for the caps 5 min'],
  ['cap bank bled with resistor, 0.4 V', 'discharge: cap bank with resistor (0.4 V)'],
  ['busbar nuts 4x M6, torque paint', 'undo: 4 x nut M6 < busbar (torque paint)'],
  ['gland nut undone', 'undo: 1 x nut < gland'],
  ['earth lug off stud', 'lift part: earth lug < stud'],
  ['wires 1, 2, 3 pulled from X1', 'unplug plug: wires 1 2 3 < X1'],
  ['ribbon 1 and ribbon 2 unplugged', 'unplug plug: ribbon 1', 'unplug plug: ribbon 2'],
  ['both ribbons', 'lift part: 2 x ribbons'],
  ['JST plug by the crystal off', 'unplug plug: JST plug by the crystal'],
];

const LAPTOP = unit(['bottom cover', 'lower shell'], {
  A1: 'main board',
  FAN1: 'fan',
  B1: 'battery',
  KB: 'keyboard',
  W3: 'keyboard ribbon',
  D1: 'display',
});
const OF_LAPTOP: Row[] = [
  [
    'lower shell off, 6 M4x12 and 2 M4x20 at the bottom',
    'undo: 6 x screw M4x12 < lower shell, bottom',
    'undo: 2 x screw M4x20 < lower shell, bottom',
    'lift part: lower shell',
  ],
  [
    'lower shell off, 6 M4x12 and 2 M4x20 fan',
    'lift part: lower shell',
    'undo: 6 x screw M4x12 < fan',
    'undo: 2 x screw M4x20 < fan',
  ],
  [
    'bottom cover off, 6 M3x8 PH1 round the edge, 2 M3x12 at the feet',
    'undo: 6 x screw M3x8 PH1 < bottom cover, edge',
    'undo: 2 x screw M3x12 < bottom cover, feet',
    'lift part: bottom cover',
  ],
  ['4 x M3 x 8 PH2 from bottom cover to cup 1', 'undo: 4 x screw M3x8 PH2 < bottom cover > 1'],
  ['remove heat sink, 2 x M3x10', 'undo: 2 x screw M3x10 < heat sink', 'remove part: heat sink'],
  ['Remove the bottom cover.', 'remove part: bottom cover'],
  ['remove bottom cover and unplug fan', 'remove part: bottom cover', 'unplug plug: fan'],
  ['Unplug fan connector FAN1 from main board', 'unplug plug: fan connector FAN1 < main board'],
  [
    'release the ZIF latch and pull the keyboard ribbon',
    'unlatch: ZIF latch',
    'unplug plug: keyboard ribbon',
  ],
  ['tilt display', 'lift part aside: display'],
  ['loosen hinge screws 2 turns', 'undo: some x screw < hinge (2 turns)'],
  ['captive screws loosened, stay in', 'undo: some x captive screw (stay in)'],
  ['coin cell out, date 2019', 'lift part: coin cell (date 2019)'],
  ['lid seal out in one piece', 'lift part: lid seal (in one piece)'],
  ['pcb stack out as one', 'lift part: pcb stack (as one)'],
  ['wire loom off 3 clips', 'lift part: wire loom < 3 clips'],
  ['bearing pressed out', 'lift part: bearing'],
  ['3 screws T20 fan, 1 hidden behind label', 'undo: 3 x screw T20 < fan (1 hidden behind label)'],
  ['M3x8 (x3), M3x12 (x1)', 'undo: 3 x screw M3x8', 'undo: 1 x screw M3x12'],
  ['PH1 screws 4', 'undo: 4 x screw PH1'],
  ['couple of screws from side', 'undo: 2 x screw < side'],
  ['a few screws from side', 'undo: some x screw < side'],
  ['last four screws, long ones', 'undo: 4 x long screw'],
];

const AMPLIFIER = unit(['hood', 'front panel'], {
  A1: 'output board',
  T1: 'mains transformer',
  J2: 'input jack',
  V1: 'driver tube',
  V2: 'output tube',
});
const OF_AMPLIFIER: Row[] = [
  [
    'volume knob off, grub screw hex 1.5',
    'undo: 1 x grub screw HEX1.5 < volume knob',
    'lift part: volume knob',
  ],
  ['knobs off x6, pull straight', 'lift part: 6 x knobs'],
  [
    'front panel off: 4 nuts M7 behind the knobs, 2 screws',
    'undo: 4 x nut M7 < behind the knobs',
    'undo: 2 x screw < front panel',
    'lift part: front panel',
  ],
  [
    'output board out with heat sink, 8 screws, mica washers under the transistors',
    'undo: 8 x screw < output board',
    'lift part: output board (with heat sink)',
    'undo: some x mica washer < under the transistors',
  ],
  ['strain relief squeezed out', 'lift part: strain relief'],
  ['tuning cap left alone', 'look: tuning cap (left alone)'],
  [
    'tubes out, V1 V2 V3 marked',
    'lift part: tubes',
    'look: V1 (marked)',
    'look: V2 (marked)',
    'look: V3 (marked)',
  ],
  ['V1 and V2 pulled, labelled', 'lift part: V1', 'lift part: V2', 'mark: V2'],
  ['input jack nut 11 mm', 'undo: 1 x nut HEX11 < input jack'],
  ['pots unscrewed, 4 nuts', 'undo: 4 x nut < pots'],
  ['cap C14 out, 4700 uF 50 V', 'lift part: cap C14 (4700 uF 50 V)'],
  ['platter lifted, mat first', 'lift part: platter (mat first)'],
];

describe.each([
  ['an amplifier', AMPLIFIER, OF_AMPLIFIER],
  ['a laptop', LAPTOP, OF_LAPTOP],
  ['a screen on a foot', SCREEN, OF_SCREEN],
  ['a printer', PRINTER, OF_PRINTER],
  ['a chair with two motors', CHAIR, OF_CHAIR],
  ['small things and large ones', WATCH, OF_WATCH],
] as const)('%s, as people jot it', (_what, names, rows) => {
  it.each(rows as Row[])('%s', (line, ...entries) => {
    const read = readText(line, names);
    expect(read.entries.map(inShort)).toEqual(entries);
    expect(read.doubtful).toEqual([]);
  });
});

describe('what goes by its kind and its mark', () => {
  const names = unit([], { A1: 'board', S2: 'paper sensor' });
  it.each([
    ['board A1 out', 'A1'],
    ['A1 board out', 'A1'],
    ['sensor S2 out', 'S2'],
    ['paper sensor S2 out', 'S2'],
    ['paper sensor out', 'paper sensor'],
    // Its kind alone, with another word before it, is something else.
    ['lamp board out', 'lamp board'],
    ['S2 bracket off', 'S2 bracket'],
  ])('%s: %s', (line, name) => {
    expect(readText(line, names).entries.map((e) => e.name)).toEqual([name]);
  });
});

describe('what tells a story is asked about, and not taken for a name', () => {
  it.each([
    ['panel lamp is blown off', 'panel lamp is blown'],
    ['fan unplugged before lifting board', 'fan unplugged before lifting board'],
    ['last screw was hidden under the foot', 'last screw was hidden under the foot'],
    ['found a loose screw inside', 'found'],
  ])('%s', (line, doubt) => {
    expect(readText(line, SCREEN).doubtful.map((d) => d.text)).toEqual([doubt]);
  });
  it('a cover by the word for what it is or by its side, and not by what it covers', () => {
    const names = unit(['display cover', 'rear plate'], {});
    const read = (line: string) => {
      const { entries, doubtful } = readText(line, names);
      return [entries[0]?.name, doubtful.map((d) => d.nearest)];
    };
    expect(read('cover off')).toEqual(['display cover', []]);
    expect(read('rear off')).toEqual(['rear plate', []]);
    expect(read('display off')).toEqual(['display', [['display cover']]]);
  });
  it('a cover by another word for what it is', () => {
    expect(readText('rear cover off', SCREEN).doubtful[0]?.nearest).toEqual(['back shell']);
    expect(readText('rear hood off', SCREEN).doubtful).toHaveLength(1);
    expect(readText('hood off', SCREEN).doubtful).toEqual([]);
    expect(readText('side hood off', SCREEN).doubtful).toEqual([]);
  });
});
