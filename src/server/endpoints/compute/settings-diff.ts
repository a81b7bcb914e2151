import { agrees, closed, Name, oneOf, type Says, Type } from '../../../core/schema/words';
import { KEY_VERDICTS, type SettingsDiffRequest, settingsDiff } from '../../../core/settings';
import { computation } from '../../endpoint';

const Real = Type.Number();
const Dump = Type.String({ maxLength: 500_000 });
const KeyValue = closed({ key: Type.String(), value: Type.String() });
const SettingsDiffRequestSchema = closed(
  {
    before: Dump,
    after: Dump,
    mustDiffer: Type.Optional(Type.Array(Name, { maxItems: 1000 })),
    tolerance: Type.Optional(Real),
  },
  { $id: 'SettingsDiffRequest', title: 'Two dumps of settings, key by key' },
);
const SettingsDiffAnswerSchema = closed(
  {
    changed: Type.Array(closed({ key: Type.String(), before: Type.String(), after: Type.String() })),
    added: Type.Array(KeyValue),
    removed: Type.Array(KeyValue),
    verdict: Type.Record(Type.String(), oneOf(KEY_VERDICTS)),
  },
  { $id: 'SettingsDiffAnswer' },
);
agrees<Says<typeof SettingsDiffRequestSchema, SettingsDiffRequest>>();

/** Two dumps of settings, key by key */
export const computeSettingsDiff = computation({
  name: 'settings-diff',
  summary: 'Two dumps of settings, key by key',
  request: SettingsDiffRequestSchema,
  megabytes: 4,
  answer: SettingsDiffAnswerSchema,
  run: settingsDiff,
});
