import { STARTS, readStart } from './src/plan/starts';
import { FIRST_FABRIC } from './src/plan/newPlan';
import { reckon } from './src/reckon/reckon';
import { reckonChance } from './src/reckon/chance';
for (const s of STARTS) { const {plan,faults}=readStart(s,{},FIRST_FABRIC,'mm'); try { const w=reckon(plan); console.log(s.id,'|',w.pieces.map(p=>p.name+': '+p.summary).join(' / '),'|',w.views.map(v=>v.id).join(','),'|',w.advice.map(a=>a.severity+':'+a.text.slice(0,90)).join(' ; '), Object.keys(faults).length); } catch(e:any){ console.log(s.id,'ERR',e.message, JSON.stringify(e.faults)); } }
