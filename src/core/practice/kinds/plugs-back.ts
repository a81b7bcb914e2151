import { type Header, type MixupsAnswer, mixups, type Plug, type Risk } from '../../mixups';
import { demand } from '../../refusal';
import { closed, Name, Type } from '../../schema/words';
import type { UnitMap } from '../../unit';
import { drawing } from '../draw';
import { exercise, type JudgedLine } from '../exercise';

export interface PlugsBackQuestion {
  board: string;
  plugs: Plug[];
  headers: Header[];
  /** plugs as they lie beside the board */
  laid: string[];
}

export interface PlugsBackAnswer {
  /** plugs that are labelled before anything is parted */
  labels: string[];
  /** plugs that get a mark for which way round */
  marks: string[];
  placed: { plug: string; header: string; turned: boolean }[];
}

const FEWEST = 3;
const MOST = 8;
/** What one label more than it takes weighs beside a wrong mating of severity 1. Common practice, no source. */
const LABEL = 0.25;

/** The board with the most plugs on it. */
function busiest(map: UnitMap): { board: string; headers: Header[]; plugs: Plug[] } {
  const boards = [...new Set((map.headers ?? []).map((h) => h.at.board))].map((board) => {
    const headers = (map.headers ?? []).filter((h) => h.at.board === board);
    const plugs = (map.plugs ?? []).filter((p) => headers.some((h) => h.id === p.home));
    return { board, headers, plugs };
  });
  const best = boards.reduce<(typeof boards)[number] | undefined>(
    (a, b) => (a && a.plugs.length >= b.plugs.length ? a : b),
    undefined,
  );
  demand(
    best && best.plugs.length >= FEWEST,
    `${map.name} has no board with ${FEWEST} plugs on its map. Add its plugs, or take another unit`,
    '/unit',
  );
  return best;
}

/** Whom a wrong mating concerns: the plug, and the one whose header it takes. */
const exchanged = (r: Risk, plugs: Plug[]): string[] => [
  r.plug,
  ...plugs.filter((p) => p.home === r.header).map((p) => p.id),
];

/** Mix-ups that nothing tells of: neither of the two is labelled, or the plug has no mark. */
function untold(answer: MixupsAnswer, plugs: Plug[], labels: string[], marks: string[]): Risk[] {
  return answer.risks.filter(
    (r) =>
      r.severity > 0 &&
      (r.how === 'wrong header'
        ? !exchanged(r, plugs).some((p) => labels.includes(p))
        : r.how === 'reversed' && !marks.includes(r.plug)),
  );
}

/** What a mating does, by the mix-ups of real boards. */
function mated(
  answer: MixupsAnswer,
  question: PlugsBackQuestion,
  at: PlugsBackAnswer['placed'][number],
): JudgedLine & { severity: number } {
  const home = question.plugs.find((p) => p.id === at.plug)?.home;
  const text = `${at.plug} into ${at.header}${at.turned ? ', turned round' : ''}`;
  if (home === at.header && !at.turned) return { text, right: true, why: 'where it was', severity: 0 };
  const risks = answer.risks.filter((r) => r.plug === at.plug && r.header === at.header);
  const risk =
    risks.find((r) => (at.turned ? r.how === 'reversed' : r.how === 'wrong header')) ??
    risks.find((r) => r.how === 'wrong header');
  if (!risk) return { text, right: false, why: 'it does not go in there', severity: 1 };
  const same = risk.severity === 0;
  return {
    text,
    right: same,
    why: same ? `changes nothing: ${risk.why}` : risk.why,
    severity: risk.severity,
  };
}

/**
 * Whether a mating would end a board: the exercise stops there, before the power comes on.
 *
 * @param question as it was made
 * @param at a plug in a header
 * @returns true for a mating of severity 3
 * @example endsABoard(question, { plug: 'L1', header: 'X2', turned: false })
 */
export const endsABoard = (question: PlugsBackQuestion, at: PlugsBackAnswer['placed'][number]): boolean =>
  mated(mixups({ plugs: question.plugs, headers: question.headers }), question, at).severity === 3;

/** Labels first, then everything is out: every plug home, the right way round. */
export const plugsBack = exercise({
  id: 'plugs back',
  asks: 'Say which plugs you label and mark; then all are out: put each back, the right way round.',
  minutes: 4,
  skills: ['unkeyed plugs', 'labels'],
  make(map, seed): PlugsBackQuestion {
    const { board, headers, plugs } = busiest(map);
    const draw = drawing(seed, 'plugs back');
    const { risks } = mixups({ plugs, headers });
    // Those that can be taken for one another first: they are what is practised.
    const confused = new Set(risks.filter((r) => r.severity > 0).flatMap((r) => exchanged(r, plugs)));
    const chosen = draw
      .shuffled(plugs)
      .sort((a, b) => Number(confused.has(b.id)) - Number(confused.has(a.id)))
      .slice(0, MOST);
    const kept = plugs.filter((p) => chosen.includes(p));
    return {
      board,
      plugs: kept,
      headers: headers.filter((h) => kept.some((p) => p.home === h.id)),
      laid: draw.shuffled(kept.map((p) => p.id)),
    };
  },
  practises: () => ['unkeyed plugs', 'labels'],
  answer: closed({
    labels: Type.Array(Name, { maxItems: 100 }),
    marks: Type.Array(Name, { maxItems: 100 }),
    placed: Type.Array(closed({ plug: Name, header: Name, turned: Type.Boolean() }), { maxItems: 100 }),
  }),
  judge(question, { labels, marks, placed }: PlugsBackAnswer) {
    const { plugs, headers } = question;
    placed.forEach(({ plug, header }, i) => {
      demand(
        plugs.some((p) => p.id === plug),
        `there is no plug “${plug}” here`,
        `/placed/${i}/plug`,
      );
      demand(
        headers.some((h) => h.id === header),
        `there is no header “${header}” here`,
        `/placed/${i}/header`,
      );
      const other = placed.find((x, k) => k < i && (x.header === header || x.plug === plug));
      demand(
        !other,
        other?.plug === plug ? `${plug} is placed twice` : `${header} has ${other?.plug} in it already`,
        `/placed/${i}`,
      );
    });
    const answer = mixups({ plugs, headers });
    const matings = placed.map((x) => mated(answer, question, x));
    const out = plugs.filter((p) => !placed.some((x) => x.plug === p.id));
    // What would end a board ends the exercise, whatever hangs loose still.
    const ended = matings.some((m) => m.severity === 3);
    demand(ended || out.length === 0, `${out.map((p) => p.id).join(', ')} hang loose still`, '/placed');
    const harm = matings.reduce((sum, m) => sum + m.severity, 0);
    const left = untold(answer, plugs, labels, marks);
    const spare =
      Math.max(0, labels.length - answer.labels.length) +
      Math.max(0, marks.length - answer.orientationMarks.length);
    const worst = matings.reduce((a, b) => (b.severity > a.severity ? b : a));
    const lost = harm + LABEL * (left.length ? 1 + spare : spare);
    return {
      score: 1 / (1 + lost),
      remember:
        worst.severity === 3
          ? `One plug in the wrong place ends a board: ${worst.why}.`
          : harm > 0
            ? 'What can be taken for another is told apart before it is parted, not after.'
            : left.length
              ? `They are home, by luck or by eye: nothing told ${left[0]?.plug} from what it could be taken for.`
              : spare
                ? 'A label where nothing can go wrong is time that a picture would have saved.'
                : 'Labels where two can be exchanged, a mark where one can be turned, and nothing more.',
      lines: [
        ...matings.map(({ severity: _s, ...line }) => line),
        {
          text: `labels: ${labels.join(', ') || 'none'}`,
          right: !left.some((r) => r.how === 'wrong header') && labels.length <= answer.labels.length,
          why: answer.labels.length
            ? `the fewest that tell all apart: ${answer.labels.join(', ')}`
            : 'none is needed: keys and sizes tell them apart',
        },
        {
          text: `marks: ${marks.join(', ') || 'none'}`,
          right: !left.some((r) => r.how === 'reversed') && marks.length <= answer.orientationMarks.length,
          why: answer.orientationMarks.length
            ? `can be turned round: ${answer.orientationMarks.join(', ')}`
            : 'none can be turned round',
        },
      ],
    };
  },
});
