/**
 * Alarms of the air by loggers that measure now: looked for every few minutes, for Today and for the browser's
 * notices.
 */
import { sumsIn } from '@dulvan/contract';
import { HOUR_MS, airAlarms, roomIdOfSpot, type AirAlarm, type HomeFacts, type MeasuredAir } from '@dulvan/core';
import { useMemo } from 'react';
import { useFetched } from './fetched';
import { listedLoggers, type Logger } from './loggers';
import { ask } from './api';
import { useNow } from './use-now';
import { useVerdicts } from './verdicts';

/** An alarm, and the logger that tells of it. */
export interface LoggerAlarm {
  readonly logger: Logger;
  readonly alarm: AirAlarm;
  /** The same as long as it lasts: told once. */
  readonly key: string;
}

const EVERY_MS = 5 * 60_000;
/** Plants wait no longer than this for anything. */
const LOOKS_BACK_H = 72;
/** A logger that has been silent for longer tells nothing of now. */
const SILENT_H = 4;

interface Measuring {
  readonly logger: Logger;
  readonly measured: MeasuredAir;
}

async function hoursOf(homeId: string, seriesId: string | undefined, now: number) {
  if (!seriesId) return [];
  const query = { from: String(now - LOOKS_BACK_H * HOUR_MS), to: String(now), step: 'hour' as const };
  const answer = await ask('samples', { params: { homeId, seriesId }, query });
  return answer.ok ? sumsIn(answer.value, 'hour') : [];
}

async function measuringNow(key: string): Promise<readonly Measuring[]> {
  const [homeId, now] = JSON.parse(key) as [string, number];
  const loggers = (await listedLoggers(homeId)).filter(({ series }) =>
    Object.values(series).some(({ lastAt }) => lastAt !== null && now - lastAt < SILENT_H * HOUR_MS),
  );
  return Promise.all(
    loggers.map(async (logger) => {
      const [celsius, rh] = await Promise.all([
        hoursOf(homeId, logger.series.temperature?.id, now),
        hoursOf(homeId, logger.series.humidity?.id, now),
      ]);
      return { logger, measured: { celsius, rh } };
    }),
  );
}

/** What needs the grower now by what was measured; none while verdicts are still being worked out. */
export function useAirAlarms(facts: HomeFacts): readonly LoggerAlarm[] {
  const { answers } = useVerdicts();
  const now = Math.floor(useNow() / EVERY_MS) * EVERY_MS;
  const asked = useFetched(measuringNow, JSON.stringify([facts.home.id, now]));
  const measuring = asked.state === 'ready' ? asked.value : null;
  return useMemo(() => {
    if (!measuring || !answers) return [];
    const targetOf = new Map(answers.plants.map(({ plantId, targets }) => [plantId, targets[answers.month - 1]]));
    return measuring.flatMap(({ logger, measured }) => {
      const here = facts.plants.flatMap(({ id, spotId }) => {
        const target = targetOf.get(id);
        const isHere =
          spotId !== null && (logger.spotId ? spotId === logger.spotId : roomIdOfSpot(facts, spotId) === logger.roomId);
        return target && isHere ? [{ plantId: id, target }] : [];
      });
      return airAlarms(here, measured, now).map((alarm) => ({
        logger,
        alarm,
        key: `${logger.id}/${alarm.kind}/${alarm.since}`,
      }));
    });
  }, [measuring, answers, facts, now]);
}
