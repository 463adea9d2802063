import { knowledge } from '@dulvan/catalogue';
import { HomeEngine, ask, remediesFor, troublesFor } from '@dulvan/core';
import { sailLoft as facts } from '../server/src/demo/sail-loft';
const e = new HomeEngine(knowledge);
const a = ask(e, facts, 'home', { year: 2026, month: 11 });
const plant = facts.plants.find((p) => p.id === 'p-calathea')!;
const x = a.plants.find((p) => p.plantId === plant.id)!;
const r = remediesFor({ facts, plant, spot: facts.spots.find((s) => s.id === plant.spotId)!, targets: x.targets, year: a.spots.find((s) => s.spotId === plant.spotId)!.conditions, fit: x.fit!, troubles: troublesFor(plant.goal, x.fit!) });
console.log(r);
import { applied, changesOf, verdictOf, burnDose, burnsFrom } from '@dulvan/core';
const here = a.spots.find((s) => s.spotId === plant.spotId)!.conditions;
const changed = applied(facts, changesOf({ kind: 'dim', lampId: 'cabinet-low-bar', dimming: 0.3 }, facts, ''))!;
const c2 = e.conditionsAt(changed, ['cab-low-2', 'cab-low-1'], 2026);
for (const [id, c] of [['now', here], ...c2] as any) console.log(id, c.map((m: any) => Math.round(m.peakPpfd)).join(' '), JSON.stringify(c[0].shares.lamps));
console.log(verdictOf(x.targets, c2.get('cab-low-2')!, 11).score, facts.plants.filter((p) => p.spotId?.startsWith('cab')).map((p) => [p.id, p.spotId]));
const b = ask(e, changed, 'home', { year: 2026, month: 11 });
for (const p of facts.plants) { const s0 = a.plants.find((q) => q.plantId === p.id)!.fit!.verdict.score, s1 = b.plants.find((q) => q.plantId === p.id)!.fit!.verdict.score; if (Math.abs(s0 - s1) > 0.005) console.log(p.id, s0, s1); }
