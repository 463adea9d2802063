/** What it means to let a plug be set from here, asked before it is. */
import type { Circuit } from '@dulvan/core';
import { timerWords } from '../../parts/timer-words';
import { Button } from '../../ui/button';
import { Sheet } from '../../ui/sheet';
import { Body, Small } from '../../ui/type';
import { ARM_SHEET as WORDS } from './plugs-words';

interface Given {
  readonly name: string;
  readonly timer: Circuit;
  readonly onYes: () => void;
  readonly onNo: () => void;
}

export function ArmSheet({ name, timer, onYes, onNo }: Given) {
  const actions = (
    <>
      <Button onPress={onNo}>{WORDS.no}</Button>
      <Button kind="main" onPress={onYes}>
        {WORDS.yes}
      </Button>
    </>
  );
  return (
    <Sheet title={WORDS.title(name)} onClose={onNo} actions={actions}>
      <Body>{WORDS.what(timer.name, timerWords(timer))}</Body>
      <Body>{WORDS.keepsOn}</Body>
      {WORDS.cautions.map((caution) => (
        <Body key={caution}>{`⚠ ${caution}`}</Body>
      ))}
      <Small>{WORDS.expert}</Small>
    </Sheet>
  );
}
