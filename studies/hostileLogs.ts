// Damaged logs, in process: nothing throws, no figure that is none comes out, none takes longer than two seconds of processor time.
// Arguments: logs (100 000), first seed (1). Part of `npm run campaign`.
import { hostileLog, wrongWith } from '../core/test/hostileLogs.ts';
import { noteReliability } from '../scripts/noteReliability.ts';

const [logs, first] = [100_000, 1].map((usual, i) => Number(process.argv[2 + i] ?? usual));
let [faults, slow] = [0, 0];
for (let seed = first; seed < first + logs; seed++) {
  const begun = process.cpuUsage();
  let wrong: string | null;
  try {
    wrong = wrongWith(hostileLog(seed));
  } catch (error) {
    wrong = String(error).slice(0, 200);
  }
  const { user, system } = process.cpuUsage(begun);
  if (wrong !== null && faults++ < 20) console.log(`log ${seed}: ${wrong}`);
  if (user + system > 2_000_000 && slow++ < 20) console.log(`log ${seed}: ${Math.round((user + system) / 1000)} ms`);
  if ((seed - first + 1) % 5000 === 0) console.error(`${seed - first + 1} logs, ${faults} faults`);
}
const told = `${logs} damaged logs: ${faults} faults, ${slow} slower than 2 s of processor time (bar: 0)`;
console.log(told);
noteReliability(`damaged logs, in process${first === 1 ? '' : `, from seed ${first}`}`, told);
process.exit(faults + slow === 0 ? 0 : 1);
