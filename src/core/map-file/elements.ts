import { ELEMENT_KINDS, type ElementKind, KIND_DEFAULTS, ladderFor, type MapElement } from '../unit';
import { type Field, flag, names } from './field';
import type { Row } from './row';

type Base = MapElement | undefined;
const kindOf = (row: Row, base: Base) => row.one<ElementKind>('kind', ELEMENT_KINDS, base?.kind);
const nameOf = (row: Row, base: Base) => row.text('name') || base?.name || kindOf(row, base);

/** Columns of `elements.csv`; the ladder is not among them and stays as it was. */
export const ELEMENT_FIELDS: Field<MapElement, Base>[] = [
  { columns: { id: (e) => e.id }, read: (row) => ({ id: row.must('id') }) },
  { columns: { name: (e) => e.name }, read: (row, base) => ({ name: nameOf(row, base) }) },
  {
    columns: { kind: (e) => e.kind },
    read: (row, base) => {
      const kind = kindOf(row, base);
      return {
        kind,
        remedies: base?.remedies ?? ladderFor(kind, row.must('id'), nameOf(row, base)),
        ...(base?.hearsay ? { hearsay: base.hearsay } : {}),
      };
    },
  },
  {
    columns: { weight: (e) => String(e.weight) },
    read: (row, base) => ({
      weight: row.figure('weight', base?.weight ?? KIND_DEFAULTS[kindOf(row, base)].weight),
    }),
  },
  names('needs'),
  names('touch'),
  names('leads'),
  flag('spare'),
  names('only'),
];
