export { recurrenceOf, templateOf } from '@mellow-probe/core/job/jobAgain';
export { jobLine } from '@mellow-probe/core/job/jobLine';
export { newJob } from '@mellow-probe/core/job/newJob';
export { MAX_FILE_BYTES, openJob } from '@mellow-probe/core/job/openJob';
export { finishRestore } from './backup/restore.ts';
export {
  changeStoredJob,
  checkLedger,
  emptyBin,
  entryOf,
  jobAhead,
  jobDoor,
  readEntry,
  removeJob,
  restoreJob,
} from './jobStorage.ts';
