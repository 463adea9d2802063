/**
 * A table to read: a screen reader finds its rows and columns, its figures stand one below the other, its words wrap.
 * (Paper's own data table is made of buttons that are switched off on the web, and cuts its cells after one line.)
 */
import { isValidElement, useMemo, useState, type ReactNode } from 'react';
import { View } from 'react-native';
import { textScale } from './rem';
import { SPACE } from './theme';
import { Body, Figure, Small } from './type';
import { useInk } from './use-ink';

interface Column {
  /** Its heading; a table of names and values alone has none. */
  readonly name?: string | undefined;
  /** Its share of the width. */
  readonly share?: number;
  readonly align?: 'left' | 'right';
}

export interface TableRow {
  readonly key: string;
  /** The first names the row. */
  readonly cells: readonly ReactNode[];
}

interface Given {
  /** What a screen reader calls it. */
  readonly name: string;
  readonly columns: readonly Column[];
  readonly rows: readonly TableRow[];
  /** Lines between rows, for tables of more than two columns. */
  readonly lines?: 'none' | 'between';
}

const LINE = { flexDirection: 'row', gap: SPACE.s, alignItems: 'center' } as const;

const USUAL_TEXT = 16;
/** A letter's usual width, of the size of text. */
const LETTER = 0.55;
/** Letters that a cell needs whose words are not known here. */
const UNKNOWN_WORD = 4;

const longestWord = (cell: ReactNode): number =>
  typeof cell === 'string' ? Math.max(0, ...cell.split(/[\s-]+/).map(({ length }) => length)) : UNKNOWN_WORD;

/** The width, in letters of the usual text, in which no word of a column is broken. */
function lettersNeeded(columns: readonly Column[], rows: readonly TableRow[]): number {
  const all = columns.reduce((sum, { share = 1 }) => sum + share, 0);
  const needs = columns.map(({ name = '', share = 1 }, i) => {
    const words = [longestWord(name), ...rows.map(({ cells }) => longestWord(cells[i] ?? ''))];
    return (Math.max(...words) * all) / share;
  });
  return Math.max(...needs);
}

function cellStyle({ share = 1, align = 'left' }: Column, place: 'beside' | 'above') {
  const side = align === 'right' ? 'flex-end' : 'flex-start';
  return place === 'above'
    ? ({ width: '100%', alignItems: side } as const)
    : ({ flex: share, alignItems: side } as const);
}

export function Table({ name, columns, rows, lines = 'none' }: Given) {
  const { line } = useInk();
  const [width, setWidth] = useState<number | null>(null);
  const needed = useMemo(() => lettersNeeded(columns, rows), [columns, rows]);
  // Where the text is too large for its columns, a row's name stands above its values: no word is broken.
  const stacked = width !== null && width < needed * LETTER * USUAL_TEXT * textScale();
  const row = stacked ? { ...LINE, flexWrap: 'wrap' as const } : LINE;
  const place = (i: number) => (stacked && i === 0 ? 'above' : 'beside');
  const between = lines === 'between' ? { borderTopWidth: 1, borderColor: line, paddingVertical: SPACE.xs } : {};
  return (
    <View role="table" aria-label={name} onLayout={({ nativeEvent }) => setWidth(nativeEvent.layout.width)}>
      {columns.some((column) => column.name) ? (
        <View role="row" style={row}>
          {columns.map((column, i) => (
            <View key={i} role="columnheader" style={cellStyle(column, place(i))}>
              <Small style={{ textAlign: column.align ?? 'left' }}>{column.name ?? ''}</Small>
            </View>
          ))}
        </View>
      ) : null}
      {rows.map(({ key, cells }) => (
        <View key={key} role="row" style={[row, between]}>
          {cells.map((cell, i) => (
            <View key={i} role={i === 0 ? 'rowheader' : 'cell'} style={cellStyle(columns[i] ?? {}, place(i))}>
              <Cell column={columns[i] ?? {}} first={i === 0 ? 'yes' : 'no'}>
                {cell}
              </Cell>
            </View>
          ))}
        </View>
      ))}
    </View>
  );
}

interface CellGiven {
  readonly column: Column;
  readonly first: 'yes' | 'no';
  readonly children: ReactNode;
}

function Cell({ column: { align = 'left' }, first, children }: CellGiven) {
  if (isValidElement(children)) return children;
  const Kind = first === 'yes' ? Body : Figure;
  return <Kind style={{ textAlign: align }}>{children}</Kind>;
}
