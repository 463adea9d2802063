import { knowledge } from '@dulvan/catalogue';
import { HomeEngine, ask, meanC } from '@dulvan/core';
import { sailLoft } from '../server/src/demo/sail-loft';
const a = ask(new HomeEngine(knowledge), sailLoft, 'home', { year: 2026, month: 11 });
const c = a.spots.find((s) => s.spotId === 'corner-b')!.conditions;
console.log(JSON.stringify(c.map((x) => +x.dli.toFixed(2))), JSON.stringify(c.map((x) => Math.round(x.peakPpfd))), JSON.stringify(c.map((x) => +meanC(x).toFixed(1))));
for (const s of a.spots) console.log(s.spotId, s.conditions[0]!.coldNightC.toFixed(1), s.conditions[6]!.hotDayC.toFixed(1), s.conditions.map((x) => x.dli.toFixed(1)).join(' '));
