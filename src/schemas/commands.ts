import { closed, Line, Moment, Name, type Static, Type, Ulid } from '../core/schema/words';
import { UnitMapSchema } from '../core/unit/schema';

export const OpenJobSchema = closed(
  { job: Ulid, event: Ulid, at: Moment, by: Name, unit: Ulid, place: Type.Optional(Line) },
  { $id: 'OpenJob', title: 'Open a job on a unit' },
);
export type OpenJob = Static<typeof OpenJobSchema>;

export const SaveUnitSchema = closed(
  { id: Ulid, place: Type.Optional(Line), version: Type.Integer({ minimum: 0 }), map: UnitMapSchema },
  { $id: 'SaveUnit', title: 'Keep the map of a unit; version 0 for a new one' },
);
export type SaveUnit = Static<typeof SaveUnitSchema>;

export const ResetLessonsSchema = closed(
  { since: Type.Union([Moment, Type.Null()]) },
  { $id: 'ResetLessons', title: 'Learn from closed jobs since a moment only; null counts all again' },
);

export const SetMeterSchema = closed(
  { address: Type.Union([Name, Type.Null()]) },
  {
    $id: 'SetMeter',
    title: 'Where the bench meter is, as name:port; null goes back to the setting of the machine',
  },
);

export const ReadMeterSchema = closed(
  {
    unit: Type.String({ minLength: 1, maxLength: 12 }),
    ac: Type.Optional(Type.Boolean()),
    probe: Type.Optional(
      closed({
        model: Type.String({ maxLength: 200, pattern: '^[^"\\n\\r]*$' }),
        tap: Type.String({ maxLength: 120, pattern: '^[^"\\n\\r]*$' }),
      }),
    ),
  },
  { $id: 'ReadMeter', title: 'One reading from the bench meter' },
);
