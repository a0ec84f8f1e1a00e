import { readdirSync, readFileSync } from 'node:fs';
import { openJob } from './core/src/job/openJob.ts';
import { checkJob } from './core/src/job/checkJob.ts';
import { assess } from './core/src/diagnosis/assessment.ts';
import { verdictText } from './core/src/wording/verdictText.ts';
for (const f of readdirSync('examples/demo')) { const o = openJob(readFileSync('examples/demo/'+f,'utf8')); if(!o.ok){console.log(f,o);continue;} const c=checkJob(o.job); console.log(f, c.issues.length); const a=assess(c.problem!); console.log(verdictText(a,(id)=>id), a.ranking.slice(0,5).map(r=>r.fault+' '+(r.probability*100).toFixed(1)).join(', ')); console.log(a.readings.map(r=>r.verdict+' '+r.healthy.low.toFixed(2)+'..'+r.healthy.high.toFixed(2)).join(' | ')); }
