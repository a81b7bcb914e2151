import type { Judged } from '../../core/practice';
import { TickBox, Warn } from '../../ui/Signs';
import { percent } from './words';

/** What an exercise came to: the one thing to remember, then line by line. */
export function Result({ judged }: { judged: Judged }) {
  return (
    <section className="pad grid gap-3 content-start" aria-label="Result">
      <h2 className="headline text-[26px]!">{judged.remember}</h2>
      <p className="note">Score {percent(judged.score)}</p>
      <ul className="rows">
        {judged.lines.map((l) => (
          <li
            key={`${l.text} ${l.why}`}
            className="grid grid-cols-[26px_minmax(0,1fr)] gap-2 border-t border-rule py-1.5"
          >
            <span className={l.right ? 'text-moss' : 'text-ochre'}>{l.right ? <TickBox /> : <Warn />}</span>
            <span className="leading-[1.25]">
              <b>{l.text}</b>
              <span className="sr-only">{l.right ? ', right' : ', wrong'}</span>
              <span className="block text-[14px]">{l.why}</span>
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
