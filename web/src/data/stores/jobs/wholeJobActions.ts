export { recurrenceOf, templateOf } from '@mellow-probe/core/check/job/jobAgain';
export { jobLine } from '@mellow-probe/core/check/job/jobLine';
export { newJob } from '@mellow-probe/core/check/job/newJob';
export { MAX_FILE_BYTES, openJob } from '@mellow-probe/core/check/job/openJob';
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
} from '../../storage/jobStorage.ts';
