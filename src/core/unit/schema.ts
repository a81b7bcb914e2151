import { HeaderSchema, PlugSchema } from '../mixups/schema';
import { agrees, closed, Line, Minutes, Name, oneOf, type Says, Type } from '../schema/words';
import { type Face, SHAPE_KINDS } from './face';
import { HAZARD_KINDS } from './hazard-kinds';
import {
  ELEMENT_KINDS,
  FIRST_LEADS,
  type Hazard,
  MOVE_WORKS,
  type OwnCheck,
  REMEDY_KINDS,
  TELL_BEFORES,
  TELL_MUSTS,
  type UnitMap,
} from './map';

const Needs = Type.Optional(Type.Array(Name, { maxItems: 50 }));
const OnlyIn = { only: Type.Optional(Type.Array(Name, { maxItems: 20 })) };
const Ids = Type.Array(Name, { maxItems: 1000 });
const Power = Type.Optional(oneOf(['on', 'off'] as const));

export const ExpectSchema = closed({
  nominal: Type.Number(),
  tolerance: Type.Number({ exclusiveMinimum: 0 }),
  low: Type.Number(),
  high: Type.Number(),
});

const MapRemedy = closed({
  id: Name,
  kind: oneOf(REMEDY_KINDS),
  name: Name,
  minutes: Type.Number({ exclusiveMinimum: 0, maximum: 100_000 }),
  cost: Type.Optional(Type.Integer({ minimum: 0 })),
  fixes: Type.Number({ exclusiveMinimum: 0, maximum: 1 }),
  parts: Type.Optional(Type.Array(Line, { maxItems: 30 })),
});

const MapElement = closed({
  id: Name,
  name: Name,
  kind: oneOf(ELEMENT_KINDS),
  weight: Type.Number({ exclusiveMinimum: 0 }),
  needs: Needs,
  touch: Needs,
  remedies: Type.Array(MapRemedy, { minItems: 1, maxItems: 12 }),
  leads: Type.Optional(Type.Array(Name, { maxItems: 20 })),
  spare: Type.Optional(Type.Boolean()),
  hearsay: Type.Optional(
    closed({
      weight: Type.Number({ exclusiveMinimum: 0 }),
      count: Type.Number({ exclusiveMinimum: 0, maximum: 1000 }),
      source: Line,
    }),
  ),
  ...OnlyIn,
});

const Tap = closed({
  id: Name,
  name: Name,
  after: Name,
  how: oneOf(['look', 'listen', 'measure'] as const),
  minutes: Type.Number({ exclusiveMinimum: 0, maximum: 100_000 }),
  expect: Type.Optional(
    closed({ ...ExpectSchema.properties, unit: Type.String({ minLength: 1, maxLength: 12 }) }),
  ),
  ac: Type.Optional(Type.Boolean()),
  needs: Needs,
  power: Power,
  note: Type.Optional(Line),
  ...OnlyIn,
});

export const OwnCheckSchema = closed({
  id: Name,
  name: Name,
  exercises: Ids,
  minutes: Type.Number({ exclusiveMinimum: 0, maximum: 100_000 }),
  ok: Type.Optional(Name),
  bad: Type.Optional(Name),
  answers: Type.Optional(
    Type.Array(closed({ id: Name, name: Name, points: Ids }), { minItems: 2, maxItems: 60 }),
  ),
  provokes: Type.Optional(Type.Record(Name, Type.Number({ exclusiveMinimum: 0, maximum: 1 }))),
  needs: Needs,
  power: Power,
  note: Type.Optional(Line),
  leaves: Type.Optional(Name),
  ...OnlyIn,
});

export const HazardSchema = closed({
  id: Name,
  kind: oneOf(HAZARD_KINDS),
  name: Name,
  detail: Line,
  on: Type.Optional(Name),
  exposedBy: Needs,
  armedBy: Needs,
  clear: closed({
    act: Line,
    reading: Type.Optional(
      closed({
        at: Name,
        unit: Type.String({ minLength: 1, maxLength: 12 }),
        max: Type.Number({ minimum: 0 }),
      }),
    ),
    inside: Type.Optional(Type.Boolean()),
    unplugs: Type.Optional(Name),
    signals: Type.Optional(Type.Array(Name, { maxItems: 20 })),
    under: Type.Optional(Type.Array(Name, { maxItems: 20 })),
    caution: Line,
  }),
  charge: Type.Optional(
    closed({
      maxPercent: Type.Number({ minimum: 0, maximum: 100 }),
      chemistry: Name,
      series: Type.Integer({ minimum: 1, maximum: 400 }),
    }),
  ),
  ...OnlyIn,
});

const Real = Type.Number();
const Long = Type.Number({ exclusiveMinimum: 0, maximum: 10_000 });

export const FaceSchema = closed({
  id: Name,
  name: Name,
  width: Long,
  height: Long,
  under: Type.Optional(Name),
  photo: Type.Optional(Type.String({ pattern: '^[0-9a-f]{64}$' })),
  shapes: Type.Optional(
    Type.Array(
      closed({
        kind: oneOf(SHAPE_KINDS),
        x: Real,
        y: Real,
        w: Type.Optional(Long),
        h: Type.Optional(Long),
        text: Type.Optional(Name),
        of: Type.Optional(Name),
        thread: Type.Optional(Name),
        longestMm: Type.Optional(Long),
      }),
      { maxItems: 400 },
    ),
  ),
  pins: Type.Optional(Type.Array(closed({ x: Real, y: Real, on: Name }), { maxItems: 200 })),
  ...OnlyIn,
});

export const WayBackNoteSchema = closed({
  note: Type.Optional(Line),
  fresh: Type.Optional(Type.Boolean()),
  torqueNm: Type.Optional(Type.Number({ exclusiveMinimum: 0, maximum: 1000 })),
  cureMinutes: Type.Optional(Type.Number({ exclusiveMinimum: 0, maximum: 100_000 })),
});

export const UnitMapSchema = closed(
  {
    name: Name,
    maker: Line,
    model: Line,
    elements: Type.Array(MapElement, { minItems: 1, maxItems: 1000 }),
    feeds: Type.Array(
      closed({ from: Name, to: Name, carries: oneOf(['signal', 'power'] as const), ...OnlyIn }),
      {
        maxItems: 4000,
      },
    ),
    taps: Type.Array(Tap, { maxItems: 1000 }),
    access: Type.Array(closed({ id: Name, name: Name, minutes: Minutes, needs: Needs, ...OnlyIn }), {
      maxItems: 100,
    }),
    functions: Type.Array(closed({ id: Name, name: Name, output: Name, ...OnlyIn }), {
      minItems: 1,
      maxItems: 50,
    }),
    hazards: Type.Array(HazardSchema, { maxItems: 50 }),
    variants: Type.Optional(Type.Array(closed({ id: Name, name: Name, tell: Line }), { maxItems: 20 })),
    channels: Type.Optional(Type.Array(closed({ id: Name, name: Name, elements: Ids }), { maxItems: 50 })),
    checks: Type.Optional(Type.Array(OwnCheckSchema, { maxItems: 200 })),
    headers: Type.Optional(Type.Array(HeaderSchema, { maxItems: 400 })),
    plugs: Type.Optional(Type.Array(PlugSchema, { maxItems: 400 })),
    moves: Type.Optional(
      Type.Array(
        closed({
          id: Name,
          text: Line,
          tool: Type.Union([Name, Type.Null()]),
          sideUp: Type.Union([Name, Type.Null()]),
          minutes: Minutes,
          after: Type.Optional(Type.Array(Name, { maxItems: 300 })),
          afterAny: Type.Optional(Type.Array(Type.Array(Name, { maxItems: 300 }), { maxItems: 20 })),
          opens: Type.Optional(Name),
          caution: Type.Optional(Line),
          works: Type.Optional(oneOf(MOVE_WORKS)),
          handsOff: Type.Optional(Minutes),
          reaches: Type.Optional(Type.Array(Name, { maxItems: 50 })),
          back: Type.Optional(WayBackNoteSchema),
          ...OnlyIn,
        }),
        { maxItems: 300 },
      ),
    ),
    faces: Type.Optional(Type.Array(FaceSchema, { maxItems: 40 })),
    powerDown: Type.Optional(
      Type.Array(closed({ id: Name, text: Line, note: Type.Optional(Line) }), { maxItems: 30 }),
    ),
    firstLead: Type.Optional(oneOf(FIRST_LEADS)),
    parties: Type.Optional(
      Type.Array(
        closed({
          id: Name,
          who: Line,
          must: oneOf(TELL_MUSTS),
          before: Type.Optional(oneOf(TELL_BEFORES)),
          why: Type.Optional(Line),
        }),
        {
          maxItems: 20,
        },
      ),
    ),
    extra: Type.Optional(Type.Record(Type.String(), Type.Unknown())),
  },
  { $id: 'UnitMap', title: 'Map of a unit' },
);

agrees<Says<typeof UnitMapSchema, UnitMap>>();
agrees<Says<typeof HazardSchema, Hazard>>();
agrees<Says<typeof FaceSchema, Face>>();
agrees<Says<typeof OwnCheckSchema, OwnCheck>>();
