import { closed, Name, Type } from '../../../core/schema/words';
import { endpoint } from '../../endpoint';
import { meterAddress, readMeter } from '../../meter/meter';

const Spoken = (maxLength: number) => Type.String({ maxLength, pattern: '^[^"\\n\\r]*$' });
const ReadMeterSchema = closed(
  {
    unit: Type.String({ minLength: 1, maxLength: 12 }),
    ac: Type.Optional(Type.Boolean()),
    probe: Type.Optional(closed({ model: Spoken(200), tap: Spoken(120) })),
  },
  { $id: 'ReadMeter', title: 'One reading from the bench meter' },
);

/** One reading from the bench meter. */
export const readTheMeter = endpoint({
  method: 'post',
  who: 'bench',
  path: '/api/meter/read',
  summary: 'One reading from the bench meter',
  body: ReadMeterSchema,
  megabytes: 1,
  answer: closed({ reading: Type.Number(), unit: Name, meter: Type.String() }),
  status: 200,
  handle: async ({ body }) => readMeter(await meterAddress.there(), body),
});
