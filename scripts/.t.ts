import { knowledge, taxa } from '@dulvan/catalogue';
import { verdictOf, yearTargets, flowersOf } from '../core/src/index';
import reference from '../catalogue/reference/verdicts.json';
import { judgedYear, JUDGED_SPOTS } from '../catalogue/src/judged-spots.fixture';
const NAMED: any = {
  'Paphiopedilum Maudiae type': 'paphiopedilum-maudiae-hybrid',
  'Nepenthes ventrata': 'nepenthes-ventrata',
};
const cls = (s: number) => (s < 25 ? 0 : s < 40 ? 1 : s < 50 ? 2 : s < 75 ? 3 : 4);
let ok = 0,
  n = 0;
for (const c of reference.cases) {
  const t = taxa.find((x) => x.name === c.taxon) ?? knowledge.taxon(NAMED[c.taxon])!;
  const targets = yearTargets({ stage: 'adult', growthState: 'by-season' }, t, {
    latitude: 50,
    school: null,
    aim: 'whole',
  });
  const out = JUDGED_SPOTS.map((s) => {
    const v = verdictOf(targets, judgedYear(s), 11);
    const j = (c.judged as any)[s].score;
    const mine = Math.round(v.score * 100);
    const good = j === null || cls(mine) === cls(j) || Math.abs(mine - j) <= 12;
    if (j !== null) {
      n++;
      if (good) ok++;
    }
    const f = flowersOf(targets, judgedYear(s), v);
    return `${s} ${mine}/${j}${good ? '' : '!!'}${v.decidedBy.slice(0, 3)}${v.weeks ? Math.round(v.weeks) : ''} g${v.growth.toFixed(2)} h${v.parts.harm.toFixed(2)} ${f?.likely ?? '-'}`;
  });
  console.log(c.taxon.padEnd(24), out.join(' | '));
}
console.log(ok, n, ok / n);
