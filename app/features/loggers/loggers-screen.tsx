/** The loggers of a home: where each hangs, and how long it has measured. */
import type { HomeFacts } from '@dulvan/core';
import { dayWords } from '../../parts/moments';
import { Failed } from '../../parts/pending';
import { useFacts } from '../../state/home';
import { useLoggers, type Logger } from '../../state/loggers';
import { RowLink, TextLink } from '../../ui/button';
import { TwoPanes } from '../../ui/page';
import { Body, Small, Title } from '../../ui/type';
import { Waiting } from '../../ui/waiting';
import { LiveLoggers } from './live-loggers';
import { loggerPlace } from './logger-places';
import { LOGGERS_SCREEN as WORDS } from './loggers-words';

export function LoggersScreen() {
  const facts = useFacts();
  return facts ? <List facts={facts} /> : null;
}

function samplesWords({ home }: HomeFacts, { series }: Logger): string {
  const all = Object.values(series);
  const samples = all.reduce((sum, one) => sum + one.samples, 0);
  if (samples === 0) return WORDS.noSamples;
  const first = Math.min(...all.map(({ firstAt }) => firstAt ?? Infinity));
  const last = Math.max(...all.map(({ lastAt }) => lastAt ?? 0));
  const [from, to] = [dayWords(first, home), dayWords(last, home)];
  const told = samples.toLocaleString('en');
  return from === to ? WORDS.samplesOn(told, from) : WORDS.samples(told, from, to);
}

function List({ facts }: { readonly facts: HomeFacts }) {
  const loggers = useLoggers(facts.home.id);
  return (
    <TwoPanes
      first={
        <>
          <TextLink href="/place">{WORDS.place}</TextLink>
          <Title>{WORDS.title}</Title>
          <Body>{WORDS.about}</Body>
          {loggers.state === 'working' ? <Waiting lines={3} words={WORDS.working} /> : null}
          {loggers.state === 'failed' ? <Failed message={loggers.message} onRetry={loggers.retry} /> : null}
          {loggers.state === 'ready' && loggers.value.length === 0 ? <Small>{WORDS.none}</Small> : null}
          {loggers.state === 'ready'
            ? loggers.value.map((logger) => (
                <RowLink
                  key={logger.id}
                  href={{ pathname: '/loggers/[loggerId]', params: { loggerId: logger.id } }}
                  title={logger.name}
                  note={`${loggerPlace(facts, logger)} · ${samplesWords(facts, logger)}`}
                />
              ))
            : null}
          <TextLink href="/loggers/import">{WORDS.importFile}</TextLink>
        </>
      }
      second={<LiveLoggers facts={facts} />}
    />
  );
}
