export { type Dump, readDump } from './dump';
export { type JumpersAnswer, type JumpersRequest, jumpers } from './jumpers';
export { readOptions, readRules } from './rules-text';
export {
  KEY_VERDICTS,
  type KeyVerdict,
  type SettingsDiffAnswer,
  type SettingsDiffRequest,
  settingsDiff,
} from './settings-diff';
