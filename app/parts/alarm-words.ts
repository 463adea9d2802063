/** An alarm of the air in words. */
import type { HomeFacts } from '@dulvan/core';
import type { LoggerAlarm } from '../state/air-alarms';
import type { Units } from '../state/settings';
import { ALARM_WORDS as WORDS } from './part-words';
import { degrees, plantName } from './words';

/** "Loft logger: 8.2 °C, below 10 °C for 5 hours. African violet and 2 others cannot wait." */
export function alarmWords(facts: HomeFacts, { logger, alarm }: LoggerAlarm, units: Units): string {
  const { kind, plantIds, limit, worst, hours } = alarm;
  const value = (figure: number) =>
    kind === 'cold' || kind === 'heat' ? degrees(Math.round(figure * 10) / 10, units) : `${Math.round(figure)} %`;
  const names = plantIds.flatMap((id) => {
    const plant = facts.plants.find((one) => one.id === id);
    return plant ? [plantName(facts, plant)] : [];
  });
  const [first = '', ...others] = names;
  const whom = others.length === 0 ? first : WORDS.andOthers(first, others.length);
  return WORDS.alarm[kind](logger.name, value(worst), value(limit), WORDS.forHours(Math.round(hours)), whom);
}
