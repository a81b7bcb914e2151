import { replaceBy, VERDICT_WORDS } from '../fit';
import {
  answerWords,
  beforeAfter,
  effective,
  fitOf,
  functionsTried,
  type JobEvent,
  type JobState,
  provingLines,
  soakNow,
  type Weighed,
} from '../job';
import { backWords, placeWords, specOf, tally } from '../ledger';
import { PREPARATIONS } from '../preparation';
import { weighReferral } from '../refer';
import { deriveChecks, formatReading } from '../unit';

export interface ReportLine {
  /** ISO time, where one belongs to it */
  at?: string;
  text: string;
  /** what came of it */
  result?: string;
}

export interface ReportSection {
  title: string;
  lines: ReportLine[];
}

function weighedLine(w: Weighed): ReportLine {
  const { reasons } = weighReferral(w);
  return {
    text: `Weighed: ${w.choice}`,
    result: `${reasons.join('; ')}${w.reason ? `. Against the figures: ${w.reason}` : ''}`,
  };
}

/** Serial and date code, as they follow a part. */
const stamps = (x: { serial?: string; dateCode?: string }) =>
  `${x.serial ? `, serial ${x.serial}` : ''}${x.dateCode ? `, date code ${x.dateCode}` : ''}`;

/** Powering down, charge and the first lead, as they belong to what was made safe. */
function safelySaid(state: JobState, e: ReturnType<typeof effective>[number]): ReportLine | null {
  if (e.type === 'power-down.done')
    return {
      at: e.at,
      text: `Powered down: ${state.map.powerDown?.find((s) => s.id === e.step)?.text ?? e.step}`,
    };
  if (e.type === 'power-down.passed')
    return { at: e.at, text: 'Not powered down its own way', result: e.reason };
  if (e.type === 'lead-rule.chosen') return { at: e.at, text: 'Which lead first', result: e.rule };
  if (e.type !== 'charge.read') return null;
  const name = state.map.hazards.find((h) => h.id === e.hazard)?.name ?? e.hazard;
  return {
    at: e.at,
    text: `${name}, how full`,
    result:
      e.volts === undefined ? `${e.percent}\u00a0% by ${e.source}` : `${formatReading(e.volts, 'V')} at rest`,
  };
}

/** How the fitted part was judged, and, for a battery, when it is usually replaced. */
function comparedLines(state: JobState): ReportLine[] {
  const { fix } = state;
  const battery = fix ? state.batteries[fix.element] : undefined;
  const compared = battery ?? (fix ? state.boards[fix.element] : undefined);
  const fit = fix ? fitOf(state, fix.element) : null;
  if (!fix || !compared || !fit) return [];
  const due = replaceBy(battery?.request.new, fix.at, battery?.request.rows);
  return [
    {
      at: compared.at,
      text: `Old and new ${battery ? 'battery' : 'board'} compared`,
      result: `${VERDICT_WORDS[fit.verdict]}${battery?.chemistry ? `, chemistry rows of version ${battery.chemistry}` : ''}`,
    },
    ...(due ? [{ text: 'Replace by', result: `${due.date}, usual for ${due.chemistry}` }] : []),
  ];
}

function soakLine(state: JobState): ReportLine[] {
  const { soak } = state;
  if (!soak) return [];
  const end = soak.endedAt ?? new Date(Date.parse(soak.startedAt) + soak.minutes * 60_000).toISOString();
  const s = soakNow(state, end);
  return [
    {
      at: soak.startedAt,
      text: `Soak of ${soak.minutes}\u00a0min`,
      result: `${s?.looks.length ?? 0} looks, ${s?.failed ? 'it failed' : s?.passed ? 'all good' : 'not finished'}`,
    },
  ];
}

/**
 * The report of a job. Every line falls out of the record; nothing is typed twice and nothing is
 * there that was not recorded. A section with nothing to say is left out.
 *
 * @param state a job
 * @param events its events, for the start and the people
 * @returns sections in the order of the work
 * @example reportOf(state, events)[0].title // 'Taken in'
 */
export function reportOf(state: JobState, events: JobEvent[]): ReportSection[] {
  const checks = deriveChecks(state.map);
  const checkOf = (id: string | undefined) => checks.find((c) => c.id === id);
  const { intake, plan, fix } = state;
  const sections: ReportSection[] = [];
  const section = (title: string, lines: ReportLine[]) => {
    if (lines.length) sections.push({ title, lines });
  };

  section(
    'Taken in',
    intake
      ? [
          {
            at: state.openedAt,
            text: `“${intake.symptom}”, ${intake.pattern}${intake.since ? `, since ${intake.since}` : ''}`,
          },
          ...(intake.alsoFails ?? []).map((id) => ({
            text: `Fails with it: ${state.map.functions.find((f) => f.id === id)?.name ?? id}`,
          })),
          ...(intake.unitSays ? [{ text: `The unit itself said: ${intake.unitSays}` }] : []),
          ...(intake.variant
            ? [
                {
                  text: `Built as: ${state.map.variants?.find((v) => v.id === intake.variant)?.name ?? intake.variant}`,
                },
              ]
            : []),
          ...(intake.weighed ? [weighedLine(intake.weighed)] : []),
          ...intake.keep.map((k) => ({ text: `Not to be lost: ${k}` })),
        ]
      : [],
  );
  section(
    'Found',
    state.trace.map((r) => {
      if (r.tried) {
        const remedy = state.map.elements
          .find((e) => e.id === r.tried?.element)
          ?.remedies.find((x) => x.id === r.tried?.remedy);
        return { at: r.at, text: remedy?.name ?? r.tried.remedy, result: 'the symptom stayed' };
      }
      const check = checkOf(r.check);
      const reading =
        r.reading === undefined
          ? ''
          : `${formatReading(r.reading, r.unit ?? '')}, wanted ${r.expect?.nominal} ± ${r.expect?.tolerance}\u00a0${r.unit}: `;
      const verdict = check ? answerWords(check, r) : '';
      return { at: r.at, text: check?.title ?? r.check ?? '', result: `${reading}${verdict}` };
    }),
  );
  section(
    'Planned',
    plan
      ? [
          {
            at: plan.at,
            text: plan.name,
            result: `${plan.why}${plan.chance === undefined ? '' : `; ${Math.round(plan.chance * 100)}\u00a0% to mend the unit`}`,
          },
        ]
      : [],
  );
  section(
    'Made safe',
    effective(events).flatMap((e): ReportLine[] => {
      const said = safelySaid(state, e);
      if (said) return [said];
      if (e.type !== 'gate.cleared' && e.type !== 'gate.passed') return [];
      const h = state.map.hazards.find((x) => x.id === e.hazard);
      const name = h?.name ?? e.hazard;
      if (e.type === 'gate.passed')
        return [{ at: e.at, text: `${name}: gate passed against advice`, result: e.reason }];
      const read =
        e.reading === undefined ? '' : `read ${formatReading(e.reading, e.unit ?? '')} by ${e.source}`;
      return [{ at: e.at, text: `${name}: ${h?.clear.act ?? 'cleared'}`, ...(read ? { result: read } : {}) }];
    }),
  );
  section('Done', [
    ...state.failed.map((f) => ({ at: f.at, text: f.name, result: 'did not mend it' })),
    ...(fix
      ? [
          {
            at: fix.at,
            text: fix.name,
            result: `${fix.element}${stamps(fix)}`,
          },
          ...comparedLines(state),
          ...(fix.old ? [{ text: 'The old one', result: stamps(fix.old).slice(2) }] : []),
          ...(fix.across ? [{ text: 'Cables one across at a time', result: fix.across.join(', ') }] : []),
          ...(fix.prepared ?? []).map((p) => ({
            at: p.at,
            text: PREPARATIONS.find((l) => l.id === p.line)?.ask ?? p.line,
            result: p.note ?? 'done',
          })),
        ]
      : []),
    ...state.consumables.map((c) => ({
      at: c.at,
      text: `Used: ${[c.amount, c.what].filter(Boolean).join(' ')}`,
      ...(c.on ? { result: c.on } : {}),
    })),
    ...state.subUnits.map((u) => ({
      at: u.at,
      text: `In the ${u.name}`,
      result: u.goal || (u.leftAt ? 'left' : 'hands still in it'),
    })),
  ]);
  section(
    'Proven, before and after',
    fix
      ? beforeAfter(state).map(({ check, before, after }) => {
          const say = (v: { reading?: number; unit?: string; outcome?: string }) =>
            v.reading === undefined
              ? v.outcome === 'ok'
                ? check.ok
                : check.bad
              : formatReading(v.reading, v.unit ?? '');
          const open = after?.open.length ? `, ${after.open.join(', ')} off` : '';
          return {
            ...(after ? { at: after.at } : {}),
            text: check.title,
            result: `before ${say(before)}; after ${after ? `${say(after)}${open}` : 'not repeated'}`,
          };
        })
      : [],
  );
  section(
    'Everything it should do',
    fix
      ? functionsTried(state)
          .filter((f) => f.last)
          .map(({ name, last }) => ({
            ...(last ? { at: last.at } : {}),
            text: name,
            result: last?.outcome === 'ok' ? 'works' : 'fails',
          }))
      : [],
  );
  section('Shown beside it', [
    ...state.told.map((t) => {
      const p = state.map.parties?.find((x) => x.id === t.party);
      return {
        at: t.at,
        text: `${p?.who ?? t.party} ${p?.must === 'allow' ? 'allowed it' : 'was told'}`,
        result: t.how,
      };
    }),
    ...provingLines(state).flatMap((l) => {
      const done = state.proving.find((p) => p.line === l.id);
      if (!done) return [];
      const read = done.reading === undefined ? '' : `, ${formatReading(done.reading, done.unit ?? '')}`;
      return [
        {
          at: done.at,
          text: l.ask,
          result: `${l.before ? `before ${l.before}; ` : ''}${done.outcome === 'ok' ? 'good' : 'not good'}${read}${done.note ? `, ${done.note}` : ''}`,
        },
      ];
    }),
    ...soakLine(state),
  ]);
  section(
    'Came off and went back',
    state.ledger.items
      .filter((i) => !i.fresh)
      .map((i) => {
        const t = tally(i);
        const parts = [
          t.back ? `${t.back} back` : '',
          ...i.writtenOff.map((w) => `${w.count} written off, ${w.reason}; ${w.replacement}`),
          t.off && i.undoneBy !== 'nothing' ? `${t.off} still ${placeWords(i.place)}` : '',
          i.missing ? `${i.missing} missing` : '',
          i.proof ? `proven: ${i.proof.how}` : '',
          i.altered ? `altered: ${i.altered}` : '',
          i.measured ? `one measured, ${i.measured.mm}\u00a0mm` : '',
          i.back ? `going back: ${backWords(i.back)}` : '',
        ];
        return {
          at: i.at,
          text: `${i.count === null ? 'several' : t.taken} × ${specOf(i)}${i.from ? `, ${i.from}` : ''}`,
          result: parts.filter(Boolean).join('; '),
        };
      }),
  );
  section(
    'Notes',
    state.notes.map((n) => ({ at: n.at, text: n.text })),
  );
  const people = [...new Set(events.map((e) => e.by))];
  section(
    'Handed over',
    state.handedOver
      ? [
          { at: state.handedOver.at, text: `To ${state.handedOver.to}`, result: state.handedOver.result },
          ...(state.handedOver.settings ? [{ text: `Restored: ${state.handedOver.settings}` }] : []),
          ...(state.handedOver.note ? [{ text: state.handedOver.note }] : []),
          ...(state.handedOver.followUp
            ? [{ text: `To be looked at again: ${state.handedOver.followUp}` }]
            : []),
          { text: `Recorded by ${people.join(', ')}` },
        ]
      : [],
  );
  return sections;
}
