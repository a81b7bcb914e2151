import type { Header, MixupsAnswer } from '../../../core/mixups';
import type { UnitMap } from '../../../core/unit';
import { FaceDrawing } from '../../../ui/FaceDrawing';
import { PinMark } from '../../../ui/PinMark';

const ROOM = 24;

/** Boards with their headers in place, in true proportion: what can do harm is marked. */
export function BoardDrawing({ map, answer }: { map: UnitMap; answer: MixupsAnswer | null }) {
  const boards = new Map<string, Header[]>();
  for (const h of map.headers ?? []) boards.set(h.at.board, [...(boards.get(h.at.board) ?? []), h]);
  const harmful = new Set(answer?.risks.filter((r) => r.severity >= 2).map((r) => r.header));
  return [...boards].map(([board, headers]) => {
    const [x0, y0] = [Math.min(0, ...headers.map((h) => h.at.x)), Math.min(0, ...headers.map((h) => h.at.y))];
    const size = (h: Header) => {
      const along = Math.max(1, h.positions / h.rows) * h.pitch + 2;
      return { w: along, h: h.rows * h.pitch + 3 };
    };
    const width = Math.max(...headers.map((h) => h.at.x - x0 + size(h).w)) + ROOM;
    const height = Math.max(...headers.map((h) => h.at.y - y0 + size(h).h)) + ROOM;
    const at = (h: Header) => ({ x: h.at.x - x0 + ROOM / 3, y: h.at.y - y0 + ROOM / 3 });
    const plugOf = (h: Header) => map.plugs?.find((p) => p.home === h.id)?.id;
    const name = map.elements.find((e) => e.id === board)?.name;
    return (
      <section key={board} className="pad border-b border-rule grid gap-2" aria-label={`Board ${board}`}>
        <h2 className="sec">
          {board} {name}
        </h2>
        <div className="flex flex-wrap gap-6 items-start">
          <FaceDrawing
            width={width}
            height={height}
            shapes={[
              { kind: 'board', x: 0, y: 0, w: width, h: height, off: false },
              ...headers.map((h) => ({ kind: 'port', ...at(h), ...size(h), off: false })),
            ]}
            pins={headers.map((h, i) => ({
              number: i + 1,
              x: at(h).x + size(h).w / 2,
              y: at(h).y + size(h).h + 5,
              tone: harmful.has(h.id) ? ('wanted' as const) : ('plain' as const),
            }))}
            label={`${board}: ${headers.map((h, i) => `${i + 1} ${h.id}`).join(', ')}`}
            most={{ w: 380, h: 260 }}
          />
          <ol className="text-[14px] grid gap-1">
            {headers.map((h, i) => (
              <li key={h.id} className="flex gap-2 items-center min-h-[30px]">
                <PinMark number={i + 1} tone={harmful.has(h.id) ? 'wanted' : 'plain'} />
                <span>
                  <b className="mono">{h.id}</b>
                  {h.landmark && ` ${h.landmark}`}
                  {plugOf(h) && `, takes ${plugOf(h)}`}
                </span>
              </li>
            ))}
          </ol>
        </div>
      </section>
    );
  });
}
