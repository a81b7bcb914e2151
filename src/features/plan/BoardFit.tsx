import { useMemo, useState } from 'react';
import { type BoardFitRequest, type BoardSheet, boardFit } from '../../core/board';
import { type FitVerdict, VERDICT_WORDS } from '../../core/fit';
import { fitOf } from '../../core/job';
import { lineText, readLineText } from '../../core/mixups';
import { Refusal } from '../../core/refusal';
import { parseReading } from '../../core/unit';
import { Action, Second } from '../../ui/Action';
import { Dialog } from '../../ui/Dialog';
import { TextField, Wrong } from '../../ui/Field';
import { TickBox, Warn } from '../../ui/Signs';
import { useTyped } from '../../ui/use-kept';
import { useJob } from '../job/use-job';
import { ScanField } from '../scan/ScanField';
import { openSum } from '../sums/open-sum';

const HEAD: Record<FitVerdict, string> = {
  pass: 'It fits, as far as is known',
  warn: 'It fits, with something to know',
  'fits after work': 'It fits after work',
  'not known': 'Not enough is known to say',
  fail: 'Do not fit it',
};
const INK: Record<FitVerdict, string> = {
  pass: 'text-moss',
  warn: 'text-ochre',
  'fits after work': 'text-ochre',
  'not known': 'text-bark-2',
  fail: 'text-brick',
};

type Typed = Record<string, string>;

/** In Plan, for a board: the new one against the old, connector by connector, contact by contact. */
export function BoardFit({ element }: { element: string }) {
  const { job, record } = useJob();
  const [refused, setRefused] = useState<string | null>(null);
  const board = job.map.elements.find((e) => e.id === element);
  const [open, setOpen] = useState(false);
  const [t, put] = useTyped<Typed>(`board-${job.id}-${element}`, {});
  const headers = useMemo(
    () => (job.map.headers ?? []).filter((h) => h.at.board === element),
    [job.map, element],
  );
  const result = useMemo(() => {
    const wrong: Record<string, string> = {};
    const figure = (key: string) => {
      const text = (t[key] ?? '').trim();
      if (!text) return undefined;
      try {
        return parseReading(text);
      } catch (error) {
        if (error instanceof Refusal) wrong[key] = error.message;
        return undefined;
      }
    };
    const fresh = headers.flatMap((h) => {
      const text = (t[h.id] ?? '').trim();
      if (!text) return [];
      try {
        const lines = readLineText(text);
        return [{ id: h.id, positions: lines.length, lines, key: h.key }];
      } catch (error) {
        if (error instanceof Refusal) wrong[h.id] = error.message;
        return [];
      }
    });
    const words = (key: string) =>
      (t[key] ?? '')
        .split(',')
        .map((x) => x.trim())
        .filter(Boolean);
    const [min, max, gives] = [figure('supplyMin'), figure('supplyMax'), figure('gives')];
    const sheet = (k: 'old' | 'new'): Partial<BoardSheet> => ({
      ...(t[`${k}Firmware`]?.trim() ? { firmware: t[`${k}Firmware`]?.trim() as string } : {}),
      ...(t[`${k}Control`]?.trim() ? { control: t[`${k}Control`]?.trim() as string } : {}),
    });
    const request: BoardFitRequest = {
      // Only what is compared of a header goes into the job.
      old: {
        headers: headers.map(({ id, positions, lines, key }) => ({ id, positions, lines, key })),
        ...(words('carries').length ? { carries: words('carries') } : {}),
        ...(words('oldNumbers').length ? { numbers: words('oldNumbers') } : {}),
        ...sheet('old'),
      },
      new: {
        ...(fresh.length ? { headers: fresh } : {}),
        ...(min === undefined ? {} : { supplyMin: min }),
        ...(max === undefined ? {} : { supplyMax: max }),
        ...(words('newNumbers').length ? { numbers: words('newNumbers') } : {}),
        ...sheet('new'),
      },
      ...(gives === undefined ? {} : { supplyVolts: gives }),
      ...(words('ordered').length ? { ordered: words('ordered') } : {}),
    };
    return { request, answer: boardFit(request), wrong };
  }, [headers, t]);
  if (board?.kind !== 'board') return null;
  const { answer, wrong, request } = result;
  const begun = Object.values(t).some((v) => v.trim());
  const kept = fitOf(job, element);
  const keep = () => {
    const no = record('board.compared', { element, request });
    setRefused(no?.reason ?? null);
    if (!no) setOpen(false);
  };
  const set = (key: string) => ({
    value: t[key] ?? '',
    onChange: (e: React.ChangeEvent<HTMLInputElement>) => put({ [key]: e.target.value }),
    wrong: wrong[key],
    autoComplete: 'off',
  });
  const scan = (key: string) => {
    const { onChange: _typed, ...field } = set(key);
    return { ...field, onText: (text: string) => put({ [key]: text }) };
  };
  return (
    <section aria-label="Does the new board fit" className="border border-rule-strong p-3 grid gap-2">
      <h3 className={`sec ${kept ? INK[kept.verdict] : ''}`}>
        {kept ? HEAD[kept.verdict] : 'Does the new board fit?'}
      </h3>
      {kept && (
        <ul className="text-[15px]">
          {kept.lines
            .filter((l) => l.verdict !== 'pass' && l.verdict !== 'not known')
            .map((l) => (
              <li key={l.line}>
                <b className={INK[l.verdict]}>{VERDICT_WORDS[l.verdict]}</b>: {l.line}, {l.why}
              </li>
            ))}
          {kept.work.length > 0 && <li>Work it takes stands in Swap, and holds it.</li>}
        </ul>
      )}
      <p className="note">
        {headers.length
          ? `Contact by contact over ${headers.map((h) => h.id).join(', ')}, supply, firmware, what goes over.`
          : 'No header of it is on the map: only supply, firmware and what goes over can be judged.'}
      </p>
      <Second small className="justify-self-start" onClick={() => setOpen(true)}>
        {kept ? 'Compare again' : 'Compare old and new'}
      </Second>
      <Dialog
        wide="table"
        open={open}
        onClose={() => setOpen(false)}
        title={`A new ${board.name} for ${element}`}
      >
        <div className="grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)] max-[900px]:grid-cols-1 gap-6">
          <div className="grid gap-3 content-start">
            {headers.map((h) => (
              <TextField
                key={h.id}
                label={`${h.id} of the new one, from contact 1`}
                placeholder={lineText(h.lines)}
                hint={`old: ${lineText(h.lines)}`}
                {...set(h.id)}
              />
            ))}
            {headers.length > 0 && (
              <Second
                small
                className="justify-self-start"
                onClick={() => put(Object.fromEntries(headers.map((h) => [h.id, lineText(h.lines)])))}
              >
                As the old one
              </Second>
            )}
            <div className="grid grid-cols-3 gap-3">
              <ScanField label="Numbers on the old one" placeholder="PB3-A2 rev C" {...scan('oldNumbers')} />
              <ScanField label="on the order" {...scan('ordered')} />
              <ScanField label="on the new one" {...scan('newNumbers')} />
              <TextField label="The unit gives, V" {...set('gives')} />
              <TextField label="It takes from, V" {...set('supplyMin')} />
              <TextField label="to, V" {...set('supplyMax')} />
              <TextField label="Old firmware" {...set('oldFirmware')} />
              <TextField label="New firmware" {...set('newFirmware')} />
              <TextField label="Sits on the old one" placeholder="heat sink" {...set('carries')} />
              <TextField label="Control line, old" placeholder="RS-232" {...set('oldControl')} />
              <TextField label="Control line, new" placeholder="5 V logic" {...set('newControl')} />
            </div>
            <span className="flex flex-wrap gap-2">
              <Second small onClick={() => openSum({ name: 'serial-level' })}>
                Level from a reading
              </Second>
              <a className="act-2 small" href="/cables">
                Jumpers and settings
              </a>
            </span>
          </div>
          <div className="grid gap-3 content-start">
            <h3 className={`headline ${begun ? INK[answer.verdict] : ''}`}>
              {begun ? HEAD[answer.verdict] : 'Type what is known of the new one'}
            </h3>
            <ol className="rows">
              {answer.lines.map((l) => (
                <li key={l.line} className="grid grid-cols-[112px_minmax(0,1fr)] gap-3 leading-[1.25]">
                  <span className={`flex gap-1 items-start font-[650] ${INK[l.verdict]}`}>
                    {l.verdict === 'pass' ? (
                      <TickBox size={15} />
                    ) : l.verdict === 'not known' ? null : (
                      <Warn size={15} />
                    )}
                    {VERDICT_WORDS[l.verdict]}
                  </span>
                  <span>
                    <b>{l.line}</b> <span className="text-[14px]">{l.old}</span>{' '}
                    <span className="text-[14px] border-l border-rule-strong pl-2">{l.new}</span>
                    <span className="block text-[14px]">{l.why}</span>
                  </span>
                </li>
              ))}
            </ol>
            {answer.work.length > 0 && (
              <ol className="list-decimal pl-5">
                {answer.work.map((w) => (
                  <li key={w}>{w}</li>
                ))}
              </ol>
            )}
            {Object.values(wrong).length > 0 && <Wrong>Some of it cannot be read yet</Wrong>}
            {refused && <Wrong>{refused}</Wrong>}
            <Action
              className="justify-self-start"
              held={Object.values(wrong).length > 0 ? 'some of it cannot be read' : undefined}
              onClick={keep}
            >
              Keep it in the job
            </Action>
          </div>
        </div>
      </Dialog>
    </section>
  );
}
