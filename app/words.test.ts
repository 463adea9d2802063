/** What the screens say, read over as one text. */
import { readdirSync } from 'node:fs';
import path from 'node:path';

const TABLES = readdirSync(__dirname, { recursive: true, encoding: 'utf8' }).filter(
  (file) => /-words\.ts$/.test(file) && !file.includes('node_modules') && !file.startsWith('dist'),
);

interface Said {
  readonly where: string;
  readonly text: string;
  /** What was put into it; none where it is a plain text. */
  readonly given: readonly string[];
}

type Sentence = (...given: string[]) => string;

/** Every text of the tables, a sentence with a marker for each thing put into it. */
const said: readonly Said[] = TABLES.flatMap((file) => {
  const sections = jest.requireActual<Record<string, unknown>>(path.join(__dirname, file));
  return Object.entries(sections)
    .filter(([name, section]) => /^[A-Z_]+$/.test(name) && typeof section === 'object')
    .flatMap(([name, section]) =>
      Object.entries(section as Record<string, unknown>).flatMap(([key, value]): Said[] => {
        const where = `${file} ${name}.${key}`;
        if (typeof value === 'string') return [{ where, text: value, given: [] }];
        if (typeof value !== 'function') return [];
        const given = Array.from({ length: value.length }, (_, i) => `‹${i}›`);
        return [{ where, text: (value as Sentence)(...given), given }];
      }),
    );
});

it('is found in a table of every folder that has screens', () => {
  expect(new Set(said.map(({ where }) => where.split(' ')[0])).size).toBeGreaterThan(12);
  expect(said.length).toBeGreaterThan(700);
});

it('tells all that is put into it', () => {
  const untold = said.filter(({ text, given }) => given.some((marker) => !text.includes(marker)));
  expect(untold).toEqual([]);
});

it('is set as one text: no doubled space, no typewriter’s quotes, no dots for an ellipsis', () => {
  expect(said.filter(({ text }) => /\s{2}|\n/.test(text))).toEqual([]);
  expect(said.filter(({ text }) => /[a-z]'[a-z]|"/.test(text))).toEqual([]);
  expect(said.filter(({ text }) => /\.\.\.|\. \./.test(text))).toEqual([]);
});

it('uses no word that nobody says aloud any more', () => {
  const old = /\b(thereof|hither|whence|wherein|heretofore|upon|whilst|betwixt|perchance|anew|begun from)\b/i;
  expect(said.filter(({ text }) => old.test(text))).toEqual([]);
});
