import { useMemo } from 'react';
import { Second } from '../../ui/Action';
import { Wrong } from '../../ui/Field';
import { Foot } from '../../ui/Foot';
import { useKeys } from '../../ui/Keys';
import { TickBox, Warn } from '../../ui/Signs';
import { useRefusal } from '../job/use-refusal';
import type { AnswerProps } from './answer';

/** Keys of answers of its own, in their order: letters that nothing else of a job takes. */
const OWN_KEYS = [...'asdfhjkl'];

/** A check answered in words: good or bad, or one of its own answers. */
export function WordAnswer({ check, why, onAnswer, onTyped }: AnswerProps & { why: string }) {
  const [wrong, setWrong] = useRefusal();
  const answers = check.answers?.map((a) => ({ id: a.id, name: a.name, good: a.points.length === 0 })) ?? [
    { id: 'ok', name: check.ok, good: true },
    { id: 'bad', name: check.bad, good: false },
  ];
  const neutral = check.answers !== undefined;
  const ids = answers.map((a) => a.id).join('\n');
  // By key: good or not, or along the row of letters where there are answers of its own.
  const keys = useMemo((): Record<string, () => void> => {
    const say = (outcome: string) => () => setWrong(onAnswer({ check: check.id, outcome, source: 'eye' }));
    return neutral
      ? Object.fromEntries(ids.split('\n').map((id, i) => [OWN_KEYS[i] ?? '', say(id)]))
      : { g: say('ok'), x: say('bad') };
  }, [neutral, ids, check.id, onAnswer, setWrong]);
  useKeys(keys);
  return (
    <>
      <p className="text-bark-2">{why}</p>
      {check.leaves && (
        <p className="text-[14px]">
          It stays in the tray as <b>{check.leaves}</b> until it is put back.
        </p>
      )}
      <Foot>
        <b className="text-[18px] max-w-[240px] leading-[1.15]">{check.title}</b>
        {answers.map(({ id, name, good }, i) => (
          <Second
            key={id}
            className="min-h-[56px]! text-[18px] flex-1 min-w-[150px] text-left"
            data-next={i === 0 ? 'ask' : undefined}
            onClick={() => setWrong(onAnswer({ check: check.id, outcome: id, source: 'eye' }))}
            onMouseEnter={() => onTyped?.({ check: check.id, outcome: id })}
            onFocus={() => onTyped?.({ check: check.id, outcome: id })}
            onMouseLeave={() => onTyped?.(null)}
            onBlur={() => onTyped?.(null)}
          >
            <span className="flex gap-2 items-center">
              {good ? (
                <TickBox />
              ) : neutral ? null : (
                <span className="text-ochre">
                  <Warn />
                </span>
              )}
              {name}
              <span aria-hidden="true">
                <kbd>{neutral ? OWN_KEYS[i]?.toUpperCase() : good ? 'G' : 'X'}</kbd>
              </span>
            </span>
          </Second>
        ))}
      </Foot>
      {wrong && <Wrong>{wrong}</Wrong>}
    </>
  );
}
