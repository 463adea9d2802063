import { Answerer } from '@dulvan/core'; import { knowledge } from '@dulvan/catalogue';
import { sailLoft } from '../server/src/demo/sail-loft'; import { backRoom } from '../server/src/demo/back-room';
const a=new Answerer(knowledge);
for (const h of [sailLoft, backRoom]) {
const t=performance.now(); const r=a.answer(h,2026); console.log('ms',performance.now()-t);
const t2=performance.now(); a.answer({...h,windows:h.windows.map(w=>({...w,curtainId:'net'}))},2026); console.log('curtain ms',performance.now()-t2);
for (const s of r.spots) console.log(s.spotId.padEnd(16), s.conditions.map(c=>c.dli.toFixed(1)).join(' '),'| peak',Math.round(Math.max(...s.conditions.map(c=>c.peakPpfd))),'sunh',s.conditions[5]!.sunHoursLikely.toFixed(1),'day',s.conditions[0]!.dayH.toFixed(1),s.conditions[5]!.dayH.toFixed(1),'night',s.conditions[10]!.longestNightH.toFixed(1),'DF',(s.daylightFactor*100).toFixed(2));
for (const p of r.plants) { const q=h.plants.find(x=>x.id===p.plantId)!; console.log(q.taxonId.padEnd(26), (q.spotId??'').padEnd(14), p.fit?.whole.toFixed(2), p.fit?.troubles.slice(0,3).map(t=>`${t.factor}/${t.aspect} ${t.direction} ${t.severity} ${t.months.join(',')} gets ${t.worst.gets.toFixed(1)} wants ${t.worst.wantsFrom.toFixed(1)}-${t.worst.wantsTo.toFixed(1)}`).join(' ; '),'|| best', p.ranked.slice(0,2).map(x=>x.spotId+' '+x.fit.whole.toFixed(2)+(x.refusal??'')).join(', ')); }
}
