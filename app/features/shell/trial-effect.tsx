/** Who gains and who loses by what is being tried, against what is kept. */
import type { HomeAnswers } from '@dulvan/core';
import { fitShare, plantName } from '../../parts/words';
import { useFacts } from '../../state/home';
import { useVerdicts, useVerdictsStore } from '../../state/verdicts';
import { Small } from '../../ui/type';
import { TRIAL_EFFECT as WORDS } from './shell-words';

/** A change of a score below this is not told. */
const TOLD_FROM = 0.01;
/** So many plants are told of, those with the greatest change first. */
const MOST_TOLD = 4;

export function TrialEffect() {
  const before = useVerdictsStore((store) => store.ofStored);
  const facts = useFacts();
  const { answers, state } = useVerdicts();
  if (!facts || !answers || !before) return null;
  if (state !== 'ready') return <Small>{WORDS.workingOut}</Small>;
  const scoresIn = ({ plants }: HomeAnswers) =>
    new Map(plants.map(({ plantId, fit }) => [plantId, fit?.verdict.score]));
  const [earlier, tried] = [scoresIn(before), scoresIn(answers)];
  const changes = facts.plants
    .map((plant) => ({ plant, was: earlier.get(plant.id), is: tried.get(plant.id) }))
    .flatMap(({ plant, was, is }) =>
      was === undefined || is === undefined || Math.abs(is - was) < TOLD_FROM ? [] : [{ plant, was, is }],
    )
    .sort((p, q) => Math.abs(q.is - q.was) - Math.abs(p.is - p.was));
  if (changes.length === 0) return <Small>{WORDS.noEffect}</Small>;
  const told = changes
    .slice(0, MOST_TOLD)
    .map(({ plant, was, is }) =>
      WORDS.changeOfFit(plantName(facts, plant), is > was ? '↑' : '↓', fitShare(was), fitShare(is)),
    );
  const more = changes.length > MOST_TOLD ? WORDS.andMore(changes.length - MOST_TOLD) : '';
  return <Small testID="trial-effect">{`${told.join('; ')}${more}`}</Small>;
}
