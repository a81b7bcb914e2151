import { demand } from '../refusal';

export interface PinStrip {
  /** contacts along the strip */
  columns: number;
  rows: 1 | 2;
  pitchMm: number;
}

export interface AlignmentRequest {
  /** pins of the board that is plugged in */
  board: PinStrip;
  /** the strip it goes into */
  strip: PinStrip;
  /** standoffs or screws that have to line up with it */
  standoffs?: number;
  /** the strip is shrouded: it can only go in at its place */
  shrouded?: boolean;
}

export interface AlignmentCase {
  how: 'seated' | 'one off along' | 'one row over' | 'turned round';
  /** places along, and rows, from where it belongs */
  along: number;
  over: number;
  /** contacts that stand bare at the left and right end of the strip */
  bareLeft: number;
  bareRight: number;
  possible: boolean;
  /** what rules it out, or shows it */
  ruledOutBy: string[];
}

/**
 * Ways a plug-in board can sit on its pin strip, and what rules each out: standoffs that line up, pins
 * counted at both ends.
 *
 * @param r strips with contacts and pitch in mm; standoffs
 * @returns the seated case first, then the wrong ones
 * @throws Refusal for strips that cannot mate
 * @example boardAlignment({ board: { columns: 10, rows: 1, pitchMm: 2.54 }, strip: { columns: 10, rows: 1, pitchMm: 2.54 } })[1].bareLeft // 1
 */
export function boardAlignment(r: AlignmentRequest): AlignmentCase[] {
  const { board, strip, standoffs = 0, shrouded = false } = r;
  for (const [s, at] of [
    [board, '/board'],
    [strip, '/strip'],
  ] as const) {
    demand(
      Number.isInteger(s.columns) && s.columns >= 1,
      'contacts along are a whole number from 1',
      `${at}/columns`,
    );
    demand(s.rows === 1 || s.rows === 2, 'one or two rows are known', `${at}/rows`);
    demand(s.pitchMm > 0, 'the pitch is over 0 mm', `${at}/pitchMm`);
  }
  demand(
    Math.abs(board.pitchMm - strip.pitchMm) < 0.02,
    `pitch ${board.pitchMm} mm does not go into ${strip.pitchMm} mm`,
    '/board/pitchMm',
  );
  demand(
    board.columns <= strip.columns,
    `${board.columns} do not go into ${strip.columns}`,
    '/board/columns',
  );
  demand(board.rows <= strip.rows, 'two rows do not go into one', '/board/rows');
  const spare = strip.columns - board.columns;
  const shift = `${Number(board.pitchMm.toPrecision(4))} mm`;
  const counted = (left: number, right: number) =>
    `count bare pins: ${left} at the left end and ${right} at the right`;
  const build = (
    how: AlignmentCase['how'],
    along: number,
    over: number,
    extra: string[] = [],
  ): AlignmentCase => {
    const bareLeft = Math.max(0, along);
    const bareRight = Math.max(0, spare - along);
    const by = [
      shrouded ? 'the shroud' : '',
      standoffs > 0 ? `${standoffs} standoffs: holes stand ${shift} off, screws do not start by hand` : '',
      counted(bareLeft, bareRight),
      ...extra,
    ].filter(Boolean);
    return { how, along, over, bareLeft, bareRight, possible: !shrouded, ruledOutBy: by };
  };
  const seated: AlignmentCase = {
    how: 'seated',
    along: 0,
    over: 0,
    bareLeft: 0,
    bareRight: spare,
    possible: true,
    ruledOutBy: [
      counted(0, spare),
      ...(standoffs > 0 ? [`all ${standoffs} standoffs line up, screws start without force`] : []),
    ],
  };
  const cases = [seated, build('one off along', 1, 0), build('one off along', -1, 0)];
  if (strip.rows === 2)
    for (const over of [1, -1])
      cases.push(build('one row over', 0, over, ['a row of pins stands bare along the whole side']));
  cases.push(
    build('turned round', 0, 0, [
      standoffs % 2 === 1
        ? 'an odd number of standoffs does not match turned round'
        : 'the mark of contact 1',
    ]),
  );
  return cases;
}

/** How such a board is taken off, and put on. Common practice, no source. */
export const ROCKING = [
  'All screws of its standoffs out, none left under a label.',
  'Lift evenly: a little at one end, a little at the other, never one end to the top.',
  'On again: look along the strip from both ends before pressing; the screws have to start by hand.',
  'Press over the strip itself, not at the far edge of the board.',
];
