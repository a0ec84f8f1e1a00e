import { betaModel } from './core/src/curves/beta.ts';
import { GENERIC_INSTRUMENTS, type Problem } from './core/src/diagnosis/problem.ts';
import { posteriorOf } from './core/src/diagnosis/posterior.ts';
const R=(measurement:string,value:number,conditions={})=>({id:measurement,measurement,value,conditions,state:'steady' as const});
const p: Problem = { circuit: { layout:'pull-up', referenceV:5, pullUpOhm:2490, hotPullUpOhm:null, switchRatio:0, curve: betaModel({kind:'beta',r25Ohm:2000,betaK:3600}), display:{minC:-40,maxC:150,resolutionC:1,substituteC:null,ratiometric:null}, supplyV:12.6, wireMinOhm:.05, wireMaxOhm:1.5, connectors:0},
 thermometers:{steady:{readC:12,sigmaK:1}}, readings:[R('sensor-ohms',3600),R('open-voltage',5.01),R('loaded-voltage',4.4)], instruments: GENERIC_INSTRUMENTS, factors:{} };
const run=(name:string,q:Problem,n=5)=>{ let ts=[]; let r; for(let k=0;k<n;k++){const t=performance.now(); r=posteriorOf(q); ts.push(performance.now()-t);} console.log(name, ts.map(x=>x.toFixed(0)).join(' '), 'ms'); console.log(r!.faults.slice(0,6).map(f=>f.fault.id+' '+(100*f.probability).toFixed(2)+(f.draws.length?` n=${f.draws.length} e=${f.relativeError.toFixed(3)}`:'')).join('\n')); };
run('case', p);
run('none', {...p, readings:[]});
run('unknown pullup', {...p, circuit:{...p.circuit,pullUpOhm:null}});
run('pull-up unknown, no thermometer', {...p, thermometers:{}, circuit:{...p.circuit,pullUpOhm:null}});
const more=[...p.readings,R('displayed',-24),R('displayed-unplugged',-40),R('displayed-bridged',-24),R('displayed-substituted',-24,{substituteOhm:1000}),R('open-voltage-return',4.99),R('supply-to-return',12.4),R('return-drop',3.53),R('loaded-voltage-return',.868),R('neighbour-reference',5.02),R('signal-wire-ohms',.4),R('isolation-ground',Infinity),R('isolation-return',Infinity)];
run('15 readings', {...p, readings:more});
run('contradict', {...p, readings:[R('loaded-voltage',1),R('loaded-voltage',4)]});
