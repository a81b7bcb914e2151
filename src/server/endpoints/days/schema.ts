import type { BusyTime, DayHouse, DayPlan } from '../../../core/day-plan';
import { agrees, closed, Day, Line, Minutes, Name, type Says, Type, Ulid } from '../../../core/schema/words';

const Clock = Type.String({ maxLength: 5 });
const Place = Type.String({ maxLength: 120 });
const Busy = closed({ from: Clock, until: Clock, what: Line, place: Type.Optional(Place) });
agrees<Says<typeof Busy, BusyTime>>();

export const DayPlanSchema = closed({
  day: Day,
  person: Name,
  zone: Name,
  start: closed({ place: Place, at: Clock }),
  end: closed({ place: Type.Optional(Place), at: Clock }),
  jobs: Type.Array(
    closed({
      job: Ulid,
      place: Type.Optional(Place),
      from: Type.Optional(Clock),
      until: Type.Optional(Clock),
      must: Type.Optional(Type.Boolean()),
      worth: Type.Optional(Type.Number({ minimum: 0, maximum: 1000 })),
      mayLeave: Type.Optional(Type.Boolean()),
      minutes: Type.Optional(
        Type.Array(
          closed({ task: Name, handsOn: Type.Optional(Minutes), handsOff: Type.Optional(Minutes) }),
          { maxItems: 20 },
        ),
      ),
    }),
    { maxItems: 60 },
  ),
  order: Type.Array(Ulid, { maxItems: 60 }),
  busy: Type.Array(Busy, { maxItems: 60 }),
  since: Type.Optional(closed({ place: Place, at: Clock })),
  van: closed({
    ticked: Type.Array(Line, { maxItems: 500 }),
    back: Type.Array(closed({ item: Ulid, took: Type.Number(), back: Type.Number() }), { maxItems: 500 }),
  }),
});
agrees<Says<typeof DayPlanSchema, DayPlan>>();

/** A day, with the version it was begun from. */
export const SaveDaySchema = closed(
  { version: Type.Integer({ minimum: 0 }), plan: DayPlanSchema },
  { $id: 'SaveDay', title: 'One technician’s day; version 0 for a new one' },
);

export const HouseSchema = closed({
  travel: Type.Array(closed({ from: Name, to: Name, minutes: Minutes }), { maxItems: 2000 }),
  litres: Type.Optional(Type.Number({ minimum: 0, maximum: 100_000 })),
});
agrees<Says<typeof HouseSchema, DayHouse>>();

/** What days have in common, with the version it was begun from. */
export const SaveHouseSchema = closed(
  { version: Type.Integer({ minimum: 0 }), house: HouseSchema },
  { $id: 'SaveHouse', title: 'Minutes from place to place, room in the van' },
);

/** A calendar to be read. */
export const CalendarSchema = closed(
  { zone: Name, text: Type.String({ maxLength: 4_000_000 }) },
  { $id: 'Calendar', title: 'An iCalendar file, and the clock it is read on' },
);
