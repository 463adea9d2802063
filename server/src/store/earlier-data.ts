/**
 * Moves what the tables of earlier versions held into today's: facts, journal, notes, weather hours and lamps'
 * intensities.
 */
import { FACT_LISTS, type FactList } from '@dulvan/core';
import { earlierParts } from '@dulvan/formats/earlier-bundle';
import { inTransaction, type Connection } from './database';
import { contentKey } from './files';
import { writeParts } from './parts';

/** The lists of those tables: without what came later. */
const LATER = [
  'outcomes',
  'climates',
  'airThings',
  'doorways',
  'learntAir',
  'spotAir',
  'supplies',
  'tariffs',
  'planSettings',
  'wishes',
  'plans',
  'planSteps',
] as const;
type EarlierList = Exclude<FactList, (typeof LATER)[number]>;
const EARLIER_LISTS = FACT_LISTS.filter((list): list is EarlierList => !(LATER as readonly string[]).includes(list));

/** Where each list stood, and its columns that held JSON. */
const EARLIER_TABLES: Readonly<
  Record<EarlierList | 'home', { readonly table: string; readonly json: readonly string[] }>
> = {
  home: { table: 'homes', json: ['snow_months'] },
  rooms: { table: 'rooms', json: [] },
  windows: { table: 'windows', json: ['curtain_months', 'second_curtain_months'] },
  stands: { table: 'stands', json: [] },
  tiers: { table: 'tiers', json: [] },
  spots: { table: 'spots', json: [] },
  circuits: { table: 'circuits', json: ['months'] },
  photometries: { table: 'photometries', json: ['planes', 'angles', 'candela'] },
  lamps: { table: 'lamps', json: [] },
  plants: { table: 'plants', json: ['parents', 'traits'] },
  air: { table: 'air', json: [] },
  ownTaxa: { table: 'own_taxa', json: ['common', 'synonyms'] },
  corrections: { table: 'corrections', json: [] },
  obstructions: { table: 'obstructions', json: ['leaf_months'] },
  blocks: { table: 'blocks', json: [] },
  weathers: { table: 'weathers', json: [] },
  readings: { table: 'readings', json: [] },
};

type Row = Readonly<Record<string, unknown>>;

const camel = (column: string) => column.replace(/_([a-z])/g, (_, letter: string) => letter.toUpperCase());

/** Does nothing when it has been done. All of it happens, or none. */
export function moveEarlierData(connection: Connection): void {
  const { client } = connection;
  const rows = (sql: string) => client.prepare(sql).all() as Row[];
  if (rows("SELECT 1 FROM sqlite_master WHERE name = 'earlier_journal'").length === 0) return;
  // Tables that point at each other go together: their order does not matter then.
  client.pragma('foreign_keys = OFF');
  try {
    inTransaction(connection, (writer) => {
      const parts = earlierParts(
        { homes: earlierHomes(rows), journal: earlierJournal(rows) },
        contentKey,
        'as-it-stands',
      );
      writeParts(writer, parts);
      for (const { table } of Object.values(EARLIER_TABLES)) client.exec(`DROP TABLE ${table}`);
      client.exec('DROP TABLE earlier_journal');
    });
  } finally {
    client.pragma('foreign_keys = ON');
  }
}

function factOf(row: Row, json: readonly string[]): Row {
  return Object.fromEntries(
    Object.entries(row).map(([column, value]) => [
      camel(column),
      json.includes(column) && typeof value === 'string' ? (JSON.parse(value) as unknown) : value,
    ]),
  );
}

/** All homes with their lists, each fact in the home that its owner is in. */
function earlierHomes(rows: (sql: string) => Row[]): Row[] {
  const homeOf = new Map<string, string>();
  const listed = (list: EarlierList | 'home') => {
    const { table, json } = EARLIER_TABLES[list];
    return rows(`SELECT * FROM ${table} ORDER BY ${list === 'readings' ? 'at_ms, id' : 'id'}`).map((row) =>
      factOf(row, json),
    );
  };
  const homes = listed('home').map((home) => ({ home }) as Record<string, unknown>);
  const byId = new Map(homes.map((home) => [(home.home as Row).id as string, home]));
  for (const home of homes) for (const list of EARLIER_LISTS) home[list] = [];
  for (const list of EARLIER_LISTS) {
    for (const fact of listed(list)) {
      const owner = fact.homeId ?? homeOf.get(String(fact.roomId ?? fact.standId ?? fact.tierId));
      homeOf.set(String(fact.id), String(owner));
      (byId.get(String(owner))?.[list] as Row[] | undefined)?.push(fact);
    }
  }
  return homes;
}

function earlierJournal(rows: (sql: string) => Row[]): Row[] {
  return rows('SELECT * FROM earlier_journal ORDER BY sequence').map((row) => {
    const { sequence: _sequence, ...entry } = factOf(row, ['changes']);
    return entry;
  });
}
