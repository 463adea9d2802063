/** What the signs mean: the mark of five strokes, the factors' shapes, the circles and lines of the plans. */
import { FACTORS } from '@dulvan/core';
import { useState, type ReactNode } from 'react';
import { View } from 'react-native';
import Svg, { Circle, Line, Rect } from 'react-native-svg';
import { Button } from '../ui/button';
import { Sheet } from '../ui/sheet';
import { SPACE } from '../ui/theme';
import { Body, Heading } from '../ui/type';
import { useInk } from '../ui/use-ink';
import { FactorSign } from './factor-sign';
import { SpotSign } from './spot-sign';
import { FACTOR_WORD, LIGHT_WORDS_TOLD } from './words';
import { KEY as WORDS } from './part-words';

export function KeyButton() {
  const [open, setOpen] = useState<'no' | 'yes'>('no');
  return (
    <>
      <Button kind="quiet" onPress={() => setOpen('yes')} style={{ alignSelf: 'flex-start' }}>
        {WORDS.whatSignsMean}
      </Button>
      {open === 'yes' ? <Key onClose={() => setOpen('no')} /> : null}
    </>
  );
}

const SIZE = 24;

function Key({ onClose }: { readonly onClose: () => void }) {
  return (
    <Sheet title={WORDS.whatSignsMean} onClose={onClose}>
      <Heading>{WORDS.fiveStrokesOfPlant}</Heading>
      <Body>{WORDS.fromLeftToRight(FACTORS.map((factor) => FACTOR_WORD[factor].toLowerCase()).join(', '))}</Body>
      <Stroke y={12} height={6} words={WORDS.belowLineTooLittle} />
      <Stroke y={6} height={6} words={WORDS.aboveItTooMuch} />
      <Stroke y={12} height={10.5} words={WORDS.longStroke} />
      <Heading>{WORDS.factors}</Heading>
      {FACTORS.map((factor) => (
        <Sign key={factor} words={FACTOR_WORD[factor]} sign={<FactorSign factor={factor} size={20} />} />
      ))}
      <Heading>{WORDS.molDay}</Heading>
      <Body>{WORDS.allLightThatFalls(LIGHT_WORDS_TOLD)}</Body>
      <Heading>{WORDS.onPlans}</Heading>
      <OnPlans />
    </Sheet>
  );
}

function OnPlans() {
  const ink = useInk();
  const drawn = (sign: ReactNode) => (
    <Svg width={SIZE} height={SIZE} viewBox="0 0 24 24" aria-hidden>
      {sign}
    </Svg>
  );
  const box = { x: 2, y: 5, width: 20, height: 14, strokeWidth: 1.5 };
  const low = { month: 1, growth: 0, limiting: 'light', factors: [] } as const;
  return (
    <>
      <Sign
        words={WORDS.spotThatIsRight}
        sign={drawn(
          <>
            <Circle cx={12} cy={12} r={9} fill="none" stroke={ink.ink} strokeWidth={1.3} />
            <SpotSign cx={12} cy={12} fit={low} />
          </>,
        )}
      />
      <Sign
        words={WORDS.ownLight}
        sign={drawn(
          <>
            <Circle cx={12} cy={12} r={11} fill={ink.wash} opacity={0.6} />
            <Circle cx={12} cy={12} r={6} fill={ink.sheet} stroke={ink.ink} strokeWidth={1.3} />
          </>,
        )}
      />
      <Sign
        words={WORDS.freeSpot}
        sign={drawn(
          <Circle cx={12} cy={12} r={9} fill="none" stroke={ink.ink} strokeWidth={1.3} strokeDasharray="2 2" />,
        )}
      />
      <Sign
        words={WORDS.windowInWall}
        sign={drawn(<Line x1={1} x2={23} y1={12} y2={12} stroke={ink.glass} strokeWidth={3} />)}
      />
      <Sign
        words={WORDS.windowInRoof}
        sign={drawn(<Rect {...box} fill="none" stroke={ink.glass} strokeDasharray="5 3" />)}
      />
      <Sign words={WORDS.cabinet} sign={drawn(<Rect {...box} fill="none" stroke={ink.glass} />)} />
      <Sign words={WORDS.cupboard} sign={drawn(<Rect {...box} fill={ink.line} stroke={ink.ink} />)} />
      <Sign words="A stand" sign={drawn(<Rect {...box} fill="none" stroke={ink.soft} />)} />
    </>
  );
}

function Stroke({ y, height, words }: { readonly y: number; readonly height: number; readonly words: string }) {
  const { ink, soft } = useInk();
  return (
    <Sign
      words={words}
      sign={
        <Svg width={SIZE} height={SIZE} viewBox="0 0 24 24" aria-hidden>
          <Line x1={2} x2={22} y1={12} y2={12} stroke={soft} strokeWidth={0.9} />
          <Rect x={10.6} y={y === 12 ? 12 : 12 - height} width={2.8} height={height} fill={ink} />
        </Svg>
      }
    />
  );
}

/** A sign and its word. */
function Sign({ sign, words }: { readonly sign: ReactNode; readonly words: string }) {
  return (
    <View style={{ flexDirection: 'row', alignItems: 'center', gap: SPACE.m }}>
      <View style={{ width: SIZE, alignItems: 'center' }}>{sign}</View>
      <Body style={{ flex: 1 }}>{words}</Body>
    </View>
  );
}
