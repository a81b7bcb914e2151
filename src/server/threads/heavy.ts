import { makeBackup } from '../../backup';
import { day } from '../../core/day';
import { vanList, workOut } from '../../core/day-plan';
import { mixups } from '../../core/mixups';
import { order } from '../../core/order';
import { handWays, regret } from '../../core/regret';
import { simulate } from '../../core/simulate';
import { trace } from '../../core/trace';
import { van } from '../../core/van';
import { JobFileSchema } from '../../schemas/job-file';
import { checkJson, textOf } from '../body';
import { busyFromCalendar } from '../day/calendar-in';
import { guardOf } from '../guard';
import { judgeStory } from '../judge-story';
import { readMapFile } from '../map-file';
import { WHOLE_RECORD } from '../record/whole-record';

/** What may take its time, and so is never worked out where requests are answered. */
export const HEAVY = {
  mixups,
  order,
  trace,
  regret,
  handWays,
  simulate,
  van,
  day,
  workOut: (q: Parameters<typeof workOut>) => workOut(...q),
  vanList: (q: Parameters<typeof vanList>) => vanList(...q),
  readCalendar: ({ text, day, zone }: { text: string; day: string; zone: string }) =>
    busyFromCalendar(text, day, zone),
  readMap: ({ bytes, called }: { bytes: Uint8Array; called: string }) => readMapFile(bytes, called),
  readJobFile: ({ bytes }: { bytes: Uint8Array }) => checkJson(textOf(bytes), guardOf(JobFileSchema)),
  judgeStory,
  ...WHOLE_RECORD,
  backup: ({ data, to, now }: { data: string; to: string; now: Date }) => makeBackup(data, to, now),
};
export type HeavyName = keyof typeof HEAVY;
