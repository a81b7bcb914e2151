export { FORMULA, meant } from './formula';
export {
  HARNESS_COLUMNS,
  type HarnessTable,
  harnessFrom,
  harnessTable,
} from './harness-tables';
export {
  type MapTables,
  mapFromTables,
  TABLE_COLUMNS,
  TABLE_NAMES,
  type Table,
  type TableName,
  tablesOf,
} from './tables';
