import {
  type Header,
  type MixupGroup,
  type MixupsAnswer,
  mixupGroups,
  type Plug,
} from '../../../core/mixups';
import { Mark, PlugFace } from './PlugFace';

/** Headers up to which a group is a grid; a wider one tells nobody anything. */
const GRID = 8;
const NAMED = 6;

interface Props {
  plugs: Plug[];
  headers: Header[];
  answer: MixupsAnswer;
}

/** Plugs that can be taken for one another, group by group: small ones as a grid, wide ones as a list. */
export function Clusters({ plugs, headers, answer }: Props) {
  return mixupGroups(plugs, headers, answer).map((g) => {
    const own = {
      plugs: plugs.filter((p) => g.plugs.includes(p.id)),
      headers: headers.filter((h) => g.headers.includes(h.id)),
      answer,
    };
    return (
      <section
        key={g.headers.join(' ')}
        className="pad border-b border-rule overflow-x-auto"
        aria-label={`${g.shape}: ${g.headers.join(', ')}`}
      >
        <h2 className="sec pb-2">{g.shape}</h2>
        {g.headers.length > GRID ? <List {...own} group={g} /> : <Grid {...own} />}
      </section>
    );
  });
}

const worst = (answer: MixupsAnswer, p: Plug, h: Header) =>
  answer.risks.find((r) => r.plug === p.id && r.header === h.id && r.how === 'wrong header');

function Grid({ plugs, headers, answer }: Props) {
  return (
    <table className="plain" style={{ width: 'auto' }}>
      <thead>
        <tr>
          <th scope="col">Plug</th>
          {headers.map((h) => (
            <th key={h.id} scope="col" className="text-center!">
              <b className="mono text-bark text-[15px]">{h.id}</b>
              {h.landmark && <span className="block max-w-[110px]">{h.landmark}</span>}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {plugs.map((p) => (
          <tr key={p.id}>
            <th scope="row" className="pr-4!">
              <span className="flex gap-3 items-center">
                <b className="mono text-bark text-[15px]">{p.id}</b>
                <PlugFace plug={p} />
              </span>
            </th>
            {headers.map((h) => (
              <td key={h.id} className="text-center min-w-[84px]">
                <Mark own={p.home === h.id} risk={worst(answer, p, h)} />
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** One line to a plug: where it belongs, and the worst of the others that take it. */
function List({ plugs, headers, answer, group }: Props & { group: MixupGroup }) {
  return (
    <>
      <p className="note pb-1">
        {group.plugs.length} plugs for {group.headers.length} headers: of each, the worst others that take it.
      </p>
      <ul className="rows">
        {plugs.map((p) => {
          const others = headers
            .flatMap((h) => {
              const risk = p.home === h.id ? undefined : worst(answer, p, h);
              return risk && risk.severity > 0 ? [{ h, risk }] : [];
            })
            .sort((a, b) => b.risk.severity - a.risk.severity);
          return (
            <li key={p.id} className="flex flex-wrap gap-x-4 gap-y-1 items-center">
              <b className="mono w-[84px] break-all">{p.id}</b>
              <PlugFace plug={p} />
              <span>
                belongs in <b className="mono">{p.home}</b>
              </span>
              {others.slice(0, NAMED).map(({ h, risk }) => (
                <span key={h.id} className="flex gap-1 items-center">
                  <span className="mono">{h.id}</span>
                  <Mark own={false} risk={risk} />
                </span>
              ))}
              {others.length > NAMED && <span className="note">and {others.length - NAMED} more</span>}
            </li>
          );
        })}
      </ul>
    </>
  );
}
