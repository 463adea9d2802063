import { knowledge } from '@dulvan/catalogue';
import { HomeEngine, ask } from '@dulvan/core';
import { sailLoft } from '../server/src/demo/sail-loft';
import { benchHome } from './bench-home';
const when = { year: 2026, month: 11 };
const t = (f: () => unknown) => {
  const s = performance.now();
  const r = f();
  return [Math.round(performance.now() - s), r] as const;
};
for (const [name, home] of [
  ['demo', sailLoft],
  ['bench', benchHome()],
] as const) {
  let facts: any = home;
  if (name === 'bench') {
    const taxa = sailLoft.plants.map((p) => p.taxonId);
    const plants = Array.from({ length: 300 }, (_, i) => ({
      ...sailLoft.plants[i % 24]!,
      id: `m${i}`,
      taxonId: taxa[i % taxa.length]!,
      heightCm: 10 + ((i * 7) % 60),
      spotId: facts.spots[(i * 7) % 110]!.id,
    }));
    facts = { ...facts, plants };
  }
  const engine = new HomeEngine(knowledge);
  console.log(name, facts.plants.length, facts.spots.length, 'home', t(() => ask(engine, facts, 'home', when))[0]);
  const [ms, m] = t(() => ask(engine, facts, 'mends', when));
  console.log('mends', ms, (m as any).length, (m as any).filter((x: any) => x.mends.length).length);
  const again = { ...facts };
  console.log('mends anew', t(() => ask(engine, again, 'mends', when))[0]);
}
