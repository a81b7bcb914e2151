import { priceOf } from '../../core/cost';
import { fixesOf } from '../../core/job';
import { formatMoney } from '../../core/money';
import { durationsOf } from '../../core/record';
import { useJob } from '../job/use-job';

/** What was quoted, beside what was done. */
export function QuotedAndDone() {
  const { job, events } = useJob();
  const { quote } = job;
  if (!quote) return null;
  const { answer } = quote;
  const line = answer?.line === null ? undefined : quote.lines[answer?.line ?? 0];
  const worked = durationsOf(events).stops.reduce((sum, s) => sum + s.minutes, 0);
  const price = (minutes: number, parts: number) =>
    formatMoney(priceOf({ minutes, parts }, quote.ratePerHour), quote.currency);
  return (
    <section className="pad grid gap-2 border-t border-rule-strong" aria-label="Quoted and done">
      <h2 className="sec">Quoted and done</h2>
      {answer === null && <p className="note">The quote is not answered.</p>}
      {answer?.line === null && <p>Refused by {answer.who}.</p>}
      {line && (
        <table className="plain">
          <thead>
            <tr>
              <th scope="col"> </th>
              <th scope="col">quoted</th>
              <th scope="col">done</th>
            </tr>
          </thead>
          <tbody>
            <tr>
              <th scope="row">what</th>
              <td>{line.what}</td>
              <td>
                {fixesOf(job)
                  .map((f) => f.name)
                  .join(', ') || 'nothing yet'}
              </td>
            </tr>
            <tr>
              <th scope="row">minutes</th>
              <td>{Math.round(line.minutes)} min</td>
              <td>{Math.round(worked)} min at work</td>
            </tr>
            <tr>
              <th scope="row">price</th>
              <td>{price(line.minutes, line.parts)}</td>
              <td>{price(Math.round(worked), line.parts)} by the clock</td>
            </tr>
          </tbody>
        </table>
      )}
    </section>
  );
}
