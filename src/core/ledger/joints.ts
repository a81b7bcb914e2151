/** A way in which a lead is held. */
export interface Joint {
  id: string;
  /** words of its latch, of its bare end or of the verb that say so */
  words: RegExp;
  /** names that say so: fewer, for a lead is called by what it goes to as well ("button lead", "touch pad lead") */
  names?: RegExp;
  /** how it comes off */
  off: string;
  /** how it goes on */
  on: string;
  /** what is done with it on the way back, and what is said once it is */
  puts: string;
  done: string;
  /** how it is shown to be home */
  proofs: readonly string[];
  /** what comes off is bare metal, as long as nothing covers it */
  bare?: true;
  /** it holds a board, which is then proven like a plug, before the power comes on */
  holdsParts?: true;
}

/** Ways in which leads are held; a further one is a further entry. Common practice, no source. */
export const JOINTS = [
  {
    id: 'pin strip',
    words: /\b(?:pin strips?|plug-?in|daughter ?board|mezzanine|riser)\b/i,
    names: /\b(?:pin strips?|plug-?in|daughter ?board|mezzanine|riser)\b/i,
    off: 'lift it straight and level, both ends together',
    on: 'pins straight, lined up at both ends, screws started by hand before any is tight',
    puts: 'Seat',
    done: 'It is seated',
    proofs: ['pins counted at both ends, none bare', 'screws start without force, it sits level'],
    holdsParts: true,
  },
  {
    id: 'solder joint',
    words: /\b(?:unsolder|desolder|solder(?:ed)?|pads?)\b/i,
    names: /\bsoldered\b/i,
    off: 'heat the joint, lift the wire without pulling',
    on: 'tape off its end; tinned, heated, held still until it sets',
    puts: 'Solder on',
    done: 'It is soldered',
    proofs: ['joint looked at, smooth and wetted', 'held a light pull'],
    bare: true,
  },
  {
    id: 'ring',
    words: /\b(?:ring|lug|eyelet)s?\b/i,
    names: /\b(?:ring|lug|eyelet)s?$/i,
    off: 'undo its screw, keep the washers in their order',
    on: 'tape off; ring under the screw, washers as they were, not turned against its neighbour',
    puts: 'Screw on',
    done: 'It is screwed on',
    proofs: ['screw tight, ring does not turn', 'washers in their order'],
    bare: true,
  },
  {
    id: 'screw terminal',
    words: /\b(?:screw terminals?|terminals?|clamp)\b/i,
    names: /\bscrew terminals?\b/i,
    off: 'undo the clamp, draw the wire out straight',
    on: 'tape off; wire or ferrule in to the stop, no strand outside, clamp tight',
    puts: 'Clamp in',
    done: 'It is clamped',
    proofs: ['clamp tight, held a tug', 'no strand outside'],
    bare: true,
  },
  {
    id: 'flap',
    words: /\b(?:flap|flip|front flip|back flip|slide|zif|ffc|fpc|flex|flat cable|ribbon)\b/i,
    names: /\b(?:ffc|fpc|flex|flat cable|ribbon)\b/i,
    off: 'open its flap first, then draw the cable out flat',
    on: 'in flat and to the stop, then the flap down on both sides',
    puts: 'Plug in',
    done: 'It is plugged',
    proofs: ['flap down, line of the cable straight', 'held a light pull', 'both ends looked at'],
  },
  {
    id: 'press-top',
    words: /\b(?:press|press-top|snap|coax|antenna|aerial)\b/i,
    names: /\b(?:coax|antenna|aerial)\b/i,
    off: 'lift it straight up, not by its lead',
    on: 'centred over its socket, pressed straight down',
    puts: 'Press on',
    done: 'It is pressed on',
    proofs: ['snapped home, level all round', 'both ends looked at'],
  },
  {
    id: 'side buttons',
    words: /\b(?:side buttons?|buttons?|side latch(?:es)?|ears?|two latches)\b/i,
    off: 'press both sides, draw the body, not the wires',
    on: 'straight in until both sides click',
    puts: 'Plug in',
    done: 'It is plugged',
    proofs: ['both sides clicked', 'held a tug', 'both ends looked at'],
  },
  {
    id: 'plug',
    words: /./,
    off: 'release its latch, draw the body, not the wires',
    on: 'key to key, straight in until it clicks',
    puts: 'Plug in',
    done: 'It is plugged',
    proofs: ['latch clicked', 'held a tug', 'both ends looked at'],
  },
] as const satisfies readonly Joint[];

export type JointId = (typeof JOINTS)[number]['id'];
export const JOINT_IDS = JOINTS.map((j) => j.id) as [JointId, ...JointId[]];

const PLUG: Joint = JOINTS[JOINTS.length - 1] as Joint;

/**
 * How a lead is held: as its latch, its bare end or the verb says, otherwise as its name does.
 *
 * @param says words of the map first, then the verb
 * @param name of the lead
 * @returns one of the joints; an ordinary plug where nothing says otherwise
 * @example jointFrom(['', 'unsolder'], 'red').id // 'solder joint'
 */
export function jointFrom(says: readonly (string | undefined)[], name: string): (typeof JOINTS)[number] {
  const ordinary = JOINTS[JOINTS.length - 1] as (typeof JOINTS)[number];
  for (const words of says) {
    const joint = words?.trim() ? JOINTS.find((j) => j.words.test(words)) : undefined;
    if (joint && joint.id !== 'plug') return joint;
  }
  return JOINTS.find((j) => (j as Joint).names?.test(name)) ?? ordinary;
}

/**
 * A joint by its name.
 *
 * @param id its name; an ordinary plug when absent
 * @returns the joint
 * @example joint('ring').bare // true
 */
export const joint = (id: JointId | undefined): Joint => JOINTS.find((j) => j.id === id) ?? PLUG;

/**
 * How a board is held, as its name says: on a pin strip, or in no way that is proven.
 *
 * @param name of a part
 * @returns the joint's name, or undefined
 * @example partJoint('plug-in board A2') // 'pin strip'
 */
export const partJoint = (name: string): JointId | undefined =>
  JOINTS.find((j) => (j as Joint).holdsParts && (j as Joint).names?.test(name))?.id;
