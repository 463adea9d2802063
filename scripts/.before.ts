import { knowledge } from '@dulvan/catalogue';
import { HomeEngine, ask, mendOf, knownPlant } from '@dulvan/core';
import { sailLoft } from '../server/src/demo/sail-loft';
import { backRoom } from '../server/src/demo/back-room';
for (const facts of [sailLoft, backRoom]) {
  const a = ask(new HomeEngine(knowledge), facts, 'home', { year: 2026 });
  for (const p of facts.plants) {
    const x = a.plants.find((q) => q.plantId === p.id)!;
    const here = a.spots.find((s) => s.spotId === p.spotId);
    const t = x.fit?.troubles[0];
    const mend =
      t && here
        ? mendOf({
            facts,
            plant: p,
            trouble: t,
            condition: here.conditions[t.worstMonth - 1]!,
            whole: x.fit!.whole,
            bestFree: x.bestFree,
          })
        : null;
    console.log(
      p.id,
      knownPlant(facts, p, knowledge)?.taxon.name,
      p.spotId,
      Math.round((x.fit?.whole ?? 0) * 100),
      x.fit?.troubles.map((t) => `${t.severity[0]}:${t.aspect}:${t.direction}:${t.months.length}`).join(' '),
      mend ? JSON.stringify(mend) : '',
    );
  }
}
