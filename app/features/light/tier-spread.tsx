/** The lamp light over a tier: as a drawing, cell by cell, and in figures. */
import type { Spot, TierField } from '@dulvan/core';
import Svg, { Circle, Rect, Text as SvgText } from 'react-native-svg';
import { mol } from '../../parts/words';
import { monthName } from '../../ui/months';
import { Table } from '../../ui/table';
import { FONT } from '../../ui/theme';
import { Figure } from '../../ui/type';
import { useInk } from '../../ui/use-ink';
import { TIER_SPREAD as WORDS } from './light-words';

export function SpreadFigures({ field, month }: { readonly field: TierField; readonly month: number }) {
  const figures: readonly (readonly [name: string, value: string])[] = [
    [WORDS.least, `${Math.round(field.least)} µmol/m²s`],
    [WORDS.mean, `${Math.round(field.mean)} µmol/m²s`],
    [WORDS.most, `${Math.round(field.most)} µmol/m²s`],
    [WORDS.evenness, field.uniformity.toFixed(2)],
    [WORDS.reflected, `${Math.round(field.reflectedShare * 100)} %`],
    [WORDS.meanDaylight(monthName(month)), WORDS.molDay(mol(field.daylightDli[month - 1]!))],
  ];
  return (
    <Table
      name={WORDS.ppfdOverTier}
      columns={[{ share: 3 }, { share: 2, align: 'right' }]}
      rows={figures.map(([name, value]) => ({
        key: name,
        cells: [
          name,
          <Figure key={name} testID={`tier-${name.split(' ')[0]!.toLowerCase()}`}>
            {value}
          </Figure>,
        ],
      }))}
    />
  );
}

interface SpreadGiven {
  readonly field: TierField;
  readonly widthM: number;
  readonly depthM: number;
  readonly spots: readonly Spot[];
  readonly width: number;
}

/** PPFD cell by cell with its figure in it. */
export function Spread({ field, widthM, depthM, spots, width }: SpreadGiven) {
  const ink = useInk();
  // The longer side lies across the screen.
  const turned = depthM > widthM;
  const across = turned ? field.rows : field.columns;
  const up = turned ? field.columns : field.rows;
  const scale = Math.min(width / Math.max(widthM, depthM), 260 / Math.min(widthM, depthM));
  const drawnWidth = Math.max(widthM, depthM) * scale;
  const drawnHeight = Math.max(56, Math.min(widthM, depthM) * scale);
  const cellWidth = drawnWidth / across;
  const cellHeight = drawnHeight / up;
  return (
    <Svg
      width={width}
      height={drawnHeight}
      role="img"
      aria-label={WORDS.ppfdFromTo(Math.round(field.least), Math.round(field.most))}
    >
      {Array.from(field.ppfd, (ppfd, i) => {
        const column = i % field.columns;
        const row = Math.floor(i / field.columns);
        const x = (turned ? row : column) * cellWidth;
        const y = drawnHeight - ((turned ? column : row) + 1) * cellHeight;
        return (
          <Rect
            key={i}
            x={x}
            y={y}
            width={cellWidth}
            height={cellHeight}
            fill={ink.wash}
            opacity={field.most > 0 ? 0.08 + (0.62 * ppfd) / field.most : 0}
          />
        );
      })}
      {spots.map(({ id, alongM, acrossM }) => (
        <SpotRing
          key={id}
          x={((turned ? acrossM : alongM) / Math.max(widthM, depthM)) * drawnWidth}
          y={drawnHeight - ((turned ? alongM : acrossM) / Math.min(widthM, depthM)) * drawnHeight}
        />
      ))}
      <Rect x={0.5} y={0.5} width={drawnWidth - 1} height={drawnHeight - 1} fill="none" stroke={ink.ink} />
      {Array.from(field.ppfd, (ppfd, i) => {
        const column = i % field.columns;
        const row = Math.floor(i / field.columns);
        const x = ((turned ? row : column) + 0.5) * cellWidth;
        const y = drawnHeight - ((turned ? column : row) + 0.5) * cellHeight + 4;
        // Where cells are narrow, every other figure.
        return cellWidth > 26 || (turned ? row : column) % 2 === 0 ? (
          <SvgText key={i} x={x} y={y} textAnchor="middle" fontFamily={FONT.lettering} fontSize={12} fill={ink.ink}>
            {Math.round(ppfd)}
          </SvgText>
        ) : null;
      })}
    </Svg>
  );
}

function SpotRing({ x, y }: { readonly x: number; readonly y: number }) {
  const { ink } = useInk();
  return <Circle cx={x} cy={y} r={13} fill="none" stroke={ink} strokeWidth={1.2} />;
}
