/** What must hold between the figures of every taxon: each check catches a kind of mistake, not one plant. */
import {
  HARMS,
  SCHOOLS,
  monthOfSeason,
  saturationPressure,
  schoolFor,
  yearTargets,
  type Stage,
  type Taxon,
} from '@dulvan/core';
import { groups, knowledge, namesAbroad, taxa } from './index';

/** The taxa, and each group as a taxon of its own. */
const all: readonly Taxon[] = [...taxa, ...groups.map(({ id }) => knowledge.taxon(`group-${id}`)!)];

/** Names what breaks a rule, with the figures that do. */
const breaking = (list: readonly Taxon[], breaks: (taxon: Taxon) => unknown) =>
  list.flatMap((taxon) => {
    const how = breaks(taxon);
    return how === false || how === null ? [] : [[taxon.id, how]];
  });

const MOL_PER_UMOL_IN_12_H = (12 * 3600) / 1e6;

describe('light', () => {
  it('at its brightest allows in twelve hours what the plant thrives by', () => {
    expect(
      breaking(all, ({ light }) => {
        const most = light.peakPpfd * MOL_PER_UMOL_IN_12_H;
        return most < light.thrivesTo && [light.peakPpfd, light.thrivesTo];
      }),
    ).toEqual([]);
  });

  it('of plants that bear hours of sun is bright at its peak', () => {
    expect(breaking(all, ({ light }) => light.sunHoursUsed >= 4 && light.peakPpfd < 700 && light)).toEqual([]);
  });
});

describe('warmth', () => {
  it('wanted at night lies above the lowest that is survived, at rest too', () => {
    expect(breaking(all, ({ warmth }) => warmth.nightFrom < warmth.lowest + 1 && warmth)).toEqual([]);
    expect(
      breaking(all, ({ warmth, rest }) => rest.nightC !== null && rest.nightC < warmth.lowest && [warmth, rest]),
    ).toEqual([]);
  });

  it('of a rest has days no colder than its nights', () => {
    expect(
      breaking(all, ({ rest }) => rest.dayC !== null && rest.nightC !== null && rest.dayC < rest.nightC && rest),
    ).toEqual([]);
  });
});

describe('moisture', () => {
  it('by humidity and by VPD agrees at the temperature of its day', () => {
    expect(
      breaking(all, ({ warmth, moisture }) => {
        const full = saturationPressure((warmth.dayFrom + warmth.dayTo) / 2);
        const from = full * (1 - moisture.thrivesTo / 100);
        const to = full * (1 - moisture.thrivesFrom / 100);
        const shared = Math.min(to, moisture.vpdTo) - Math.max(from, moisture.vpdFrom);
        return shared < 0.45 * Math.min(to - from, moisture.vpdTo - moisture.vpdFrom) && [from, to, moisture];
      }),
    ).toEqual([]);
  });

  it('of what lives in moist air alone is no drier by VPD than by humidity, at 22 °C', () => {
    const moistOnly = all.filter(({ moisture }) => moisture.survives >= 40);
    expect(
      breaking(moistOnly, ({ moisture }) => {
        const atThriving = saturationPressure(22) * (1 - moisture.thrivesFrom / 100);
        return moisture.vpdTo > 1.4 * atThriving && [moisture.vpdTo, atThriving];
      }),
    ).toEqual([]);
  });
});

describe('harm', () => {
  const rank = (harm: (typeof HARMS)[number]) => HARMS.indexOf(harm);

  it('of sap in the eyes is at least as bad as on the skin', () => {
    expect(breaking(all, ({ hazard }) => rank(hazard.sapInEyes) < rank(hazard.sapOnSkin) && hazard)).toEqual([]);
  });

  it.each(['people', 'cats', 'dogs'] as const)(
    'to %s is known of none whose kin is poisonous, without a reason',
    (eater) => {
      const why = new Map(groups.flatMap((group) => group.taxa.map((row) => [row.id, row.why] as const)));
      const genus = ({ name }: Taxon) => name.replace('× ', '').split(' ')[0]!;
      const poisonous = new Set(taxa.filter(({ hazard }) => hazard[eater] === 'toxic').map(genus));
      expect(
        breaking(
          taxa,
          (taxon) => taxon.hazard[eater] === 'none-known' && poisonous.has(genus(taxon)) && !why.get(taxon.id),
        ),
      ).toEqual([]);
    },
  );
});

describe('what decides success', () => {
  const says = (pattern: RegExp, breaks: (taxon: Taxon) => unknown) =>
    breaking(taxa, (taxon) => pattern.test(taxon.key.toLowerCase()) && breaks(taxon) && taxon.key);

  it('does not tell of a dry or leafless rest that the figures do not know', () => {
    const dryRest = /dry (?:winter|rest|sleep)|sleeps? dry|dry in winter|leafless|dies back/;
    expect(says(dryRest, ({ rest }) => rest.trigger === 'none' || rest.water === 'usual')).toEqual([]);
  });

  it('does not tell of water that the figures let run out', () => {
    expect(says(/never (?:once )?(?:bone )?dry\b|one dry day/, ({ care }) => care.waterAtShare < 0.3)).toEqual([]);
  });

  it('does not tell of frost or cold weeks that would kill by the figures', () => {
    expect(says(/frost|cold weeks/, ({ warmth }) => warmth.lowest > 5)).toEqual([]);
  });

  it('does not tell of cool nights where warm ones are asked', () => {
    expect(
      says(/cool nights|cool winter/, ({ rest, warmth }) => rest.trigger === 'none' && warmth.nightFrom > 13),
    ).toEqual([]);
  });
});

describe('the year', () => {
  it('has no month that is dry and of growth, by any school, in either half of the world', () => {
    for (const latitude of [56.4, -34.6])
      for (const school of SCHOOLS)
        expect(
          breaking(taxa, (taxon) =>
            yearTargets({ stage: 'adult', growthState: 'by-season' }, taxon, { latitude, school, aim: 'whole' }).some(
              ({ phase, water }) => phase === 'growing' && water !== 'usual',
            ),
          ),
        ).toEqual([]);
  });

  it('sets no buds in months in which the plant stands dry', () => {
    expect(
      breaking(
        taxa,
        ({ day, rest }) => rest.water === 'none' && day.inductionMonths.some((m) => rest.months.includes(m)) && day,
      ),
    ).toEqual([]);
  });

  it('has its rest at the same season in both halves of the world', () => {
    for (const month of [1, 4, 7, 10]) expect(monthOfSeason(month, -34.6)).toBe(((month + 5) % 12) + 1);
  });

  it('of plants that die without rest keeps it under every school', () => {
    const bound = taxa.filter(({ rest }) => rest.isObligate);
    expect(bound.map(({ id }) => id)).toEqual(
      expect.arrayContaining([
        'dionaea-muscipula',
        'sarracenia-flava',
        'lithops-lesliei',
        'caladium-bicolor',
        'hyacinthus-orientalis',
      ]),
    );
    for (const taxon of bound) for (const school of SCHOOLS) expect(schoolFor(taxon, school)).not.toBe('grow-on');
  });
});

describe('stages', () => {
  const STAGES: readonly Stage[] = [
    'seed',
    'cutting',
    'rooted-cutting',
    'seedling',
    'juvenile',
    'recovering',
    'just-arrived',
  ];

  it.each(STAGES)('%s has a rule in every group, and light in order', (stage) => {
    expect(
      breaking(all, (taxon) => {
        const targets = yearTargets({ stage, growthState: 'by-season' }, taxon, {
          latitude: 50,
          school: null,
          aim: 'whole',
        });
        return targets.some(
          ({ rules, light }) =>
            rules.length === 0 || light.survives > light.thrivesFrom || light.thrivesFrom > light.thrivesTo,
        );
      }),
    ).toEqual([]);
  });
});

describe('names', () => {
  it('in other languages belong to taxa that are there, each once in its language', () => {
    for (const [id, languages] of Object.entries(namesAbroad)) {
      expect(knowledge.taxon(id)?.id).toBe(id);
      for (const names of Object.values(languages)) {
        expect(names.length).toBeGreaterThan(0);
        expect([id, new Set(names).size]).toEqual([id, names.length]);
      }
    }
    expect(Object.keys(namesAbroad).length).toBeGreaterThan(400);
  });

  it('in common use are at least three for nine in ten, each once', () => {
    expect(taxa.filter(({ common }) => common.length >= 3).length / taxa.length).toBeGreaterThan(0.9);
    for (const { id, common } of taxa) expect([id, new Set(common).size]).toEqual([id, common.length]);
  });
});
