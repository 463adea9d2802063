/** The tables: one for each kind of fact, and the journal. Column names follow the facts' own, in snake case. */
import type {
  AirMovement,
  BoardKind,
  Figure,
  Foliage,
  GrowthState,
  LampForm,
  LampRating,
  LampSpectrum,
  LightAim,
  ObstructionKind,
  OutsideKind,
  Parent,
  Reach,
  Reading,
  ReadingSky,
  ReadingUnit,
  School,
  Side,
  Stage,
  StandKind,
  Trait,
} from '@dulvan/core';
import type { JournalEntry } from '@dulvan/contract';
import { index, integer, real, sqliteTable, text, uniqueIndex, type AnySQLiteColumn } from 'drizzle-orm/sqlite-core';

export const homes = sqliteTable('homes', {
  id: text().primaryKey(),
  name: text().notNull(),
  latitude: real().notNull(),
  longitude: real().notNull(),
  elevationM: real().notNull(),
  timeZone: text().notNull(),
  climateId: text().notNull(),
  restSchool: text().$type<School>(),
  lightAim: text().$type<LightAim>().notNull().default('whole'),
  snowMonths: text({ mode: 'json' }).$type<number[]>().notNull().default([]),
});

export const rooms = sqliteTable(
  'rooms',
  {
    id: text().primaryKey(),
    homeId: text()
      .notNull()
      .references(() => homes.id),
    name: text().notNull(),
    widthM: real().notNull(),
    depthM: real().notNull(),
    heightM: real().notNull(),
    wallABearing: real().notNull(),
    floorReflectance: real().notNull(),
    wallReflectance: real().notNull(),
    ceilingReflectance: real().notNull(),
    airMovement: text().$type<AirMovement>().notNull(),
    insideRoomId: text().references((): AnySQLiteColumn => rooms.id),
    insideXM: real().notNull(),
    insideYM: real().notNull(),
    insideZM: real().notNull(),
    shellTransmittance: real().notNull(),
    eveningLux: real().notNull().default(0),
    eveningFromMinute: integer().notNull().default(1080),
    eveningToMinute: integer().notNull().default(1320),
  },
  (table) => [index('rooms_home').on(table.homeId)],
);

export const windows = sqliteTable(
  'windows',
  {
    id: text().primaryKey(),
    roomId: text()
      .notNull()
      .references(() => rooms.id),
    name: text().notNull(),
    side: text().$type<Side>().notNull(),
    offsetM: real().notNull(),
    insetM: real().notNull(),
    sillM: real().notNull(),
    widthM: real().notNull(),
    heightM: real().notNull(),
    slopeDeg: real().notNull(),
    glazingId: text().notNull(),
    frameShare: real().notNull(),
    dirtShare: real().notNull(),
    curtainId: text().notNull(),
    curtainMonths: text({ mode: 'json' }).$type<number[]>().notNull(),
    curtainFromMinute: integer().notNull(),
    curtainToMinute: integer().notNull(),
    outsideKind: text().$type<OutsideKind>().notNull(),
    outsideDeg: real().notNull(),
    outsideReflectance: real().notNull(),
    groundReflectance: real().notNull(),
    revealM: real().notNull().default(0),
    overhangM: real().notNull().default(0),
    overhangAboveM: real().notNull().default(0),
    secondCurtainId: text().notNull().default('none'),
    secondCurtainMonths: text({ mode: 'json' })
      .$type<number[]>()
      .notNull()
      .default([1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12]),
    secondCurtainFromMinute: integer().notNull().default(600),
    secondCurtainToMinute: integer().notNull().default(1080),
  },
  (table) => [index('windows_room').on(table.roomId)],
);

export const stands = sqliteTable(
  'stands',
  {
    id: text().primaryKey(),
    roomId: text()
      .notNull()
      .references(() => rooms.id),
    name: text().notNull(),
    kind: text().$type<StandKind>().notNull(),
    xM: real().notNull(),
    yM: real().notNull(),
    widthM: real().notNull(),
    depthM: real().notNull(),
  },
  (table) => [index('stands_room').on(table.roomId)],
);

export const tiers = sqliteTable(
  'tiers',
  {
    id: text().primaryKey(),
    standId: text()
      .notNull()
      .references(() => stands.id),
    heightM: real().notNull(),
    board: text().$type<BoardKind>().notNull(),
  },
  (table) => [index('tiers_stand').on(table.standId)],
);

export const spots = sqliteTable(
  'spots',
  {
    id: text().primaryKey(),
    tierId: text()
      .notNull()
      .references(() => tiers.id),
    name: text().notNull(),
    alongM: real().notNull(),
    acrossM: real().notNull(),
    sizeM: real().notNull(),
    freeHeightM: real().notNull(),
    loadKg: real().notNull(),
    reach: text().$type<Reach>().notNull(),
  },
  (table) => [index('spots_tier').on(table.tierId)],
);

export const circuits = sqliteTable(
  'circuits',
  {
    id: text().primaryKey(),
    homeId: text()
      .notNull()
      .references(() => homes.id),
    name: text().notNull(),
    onMinute: integer().notNull(),
    offMinute: integer().notNull(),
    months: text({ mode: 'json' }).$type<number[]>().notNull(),
  },
  (table) => [index('circuits_home').on(table.homeId)],
);

export const photometries = sqliteTable(
  'photometries',
  {
    id: text().primaryKey(),
    homeId: text()
      .notNull()
      .references(() => homes.id),
    name: text().notNull(),
    lumens: real().notNull(),
    powerW: real().notNull(),
    lengthM: real().notNull(),
    breadthM: real().notNull(),
    planes: text({ mode: 'json' }).$type<readonly number[]>().notNull(),
    angles: text({ mode: 'json' }).$type<readonly number[]>().notNull(),
    candela: text({ mode: 'json' }).$type<readonly number[]>().notNull(),
  },
  (table) => [index('photometries_home').on(table.homeId)],
);

export const lamps = sqliteTable(
  'lamps',
  {
    id: text().primaryKey(),
    circuitId: text()
      .notNull()
      .references(() => circuits.id),
    tierId: text()
      .notNull()
      .references(() => tiers.id),
    name: text().notNull(),
    form: text().$type<LampForm>().notNull(),
    ppf: real().notNull(),
    powerW: real().notNull(),
    spectrum: text().$type<LampSpectrum>().notNull(),
    beamDeg: real().notNull(),
    lengthM: real().notNull(),
    breadthM: real().notNull(),
    alongM: real().notNull(),
    acrossM: real().notNull(),
    aboveM: real().notNull(),
    dimming: real().notNull(),
    ratedBy: text().$type<LampRating>().notNull().default('ppf'),
    lumens: real(),
    tiltDeg: real().notNull().default(0),
    tiltToward: text().$type<Side>().notNull().default('a'),
    burntHours: real().notNull().default(0),
    lifeHours: real(),
    photometryId: text().references(() => photometries.id),
  },
  (table) => [index('lamps_tier').on(table.tierId), index('lamps_circuit').on(table.circuitId)],
);

export const plants = sqliteTable(
  'plants',
  {
    id: text().primaryKey(),
    homeId: text()
      .notNull()
      .references(() => homes.id),
    taxonId: text().notNull(),
    parents: text({ mode: 'json' }).$type<readonly Parent[]>().notNull().default([]),
    traits: text({ mode: 'json' }).$type<readonly Trait[]>().notNull().default([]),
    name: text().notNull(),
    stage: text().$type<Stage>().notNull(),
    growthState: text().$type<GrowthState>().notNull(),
    stateSeenOn: text(),
    restSchool: text().$type<School>(),
    potCm: real(),
    heightCm: real(),
    foliage: text().$type<Foliage>().notNull().default('medium'),
    spotId: text().references(() => spots.id),
    arrivedOn: text(),
    note: text().notNull(),
  },
  (table) => [index('plants_home').on(table.homeId), index('plants_spot').on(table.spotId)],
);

export const air = sqliteTable(
  'air',
  {
    id: text().primaryKey(),
    roomId: text()
      .notNull()
      .references(() => rooms.id),
    month: integer().notNull(),
    dayC: real().notNull(),
    nightC: real().notNull(),
    dayRh: real().notNull(),
    nightRh: real().notNull(),
  },
  (table) => [uniqueIndex('air_room_month').on(table.roomId, table.month)],
);

export const ownTaxa = sqliteTable(
  'own_taxa',
  {
    id: text().primaryKey(),
    homeId: text()
      .notNull()
      .references(() => homes.id),
    name: text().notNull(),
    common: text({ mode: 'json' }).$type<string[]>().notNull(),
    synonyms: text({ mode: 'json' }).$type<string[]>().notNull(),
    basedOn: text().notNull(),
    key: text().notNull(),
  },
  (table) => [index('own_taxa_home').on(table.homeId)],
);

export const corrections = sqliteTable(
  'corrections',
  {
    id: text().primaryKey(),
    homeId: text()
      .notNull()
      .references(() => homes.id),
    taxonId: text(),
    plantId: text().references(() => plants.id),
    figure: text().$type<Figure>().notNull(),
    value: real().notNull(),
    reason: text().notNull(),
    on: text().notNull(),
  },
  (table) => [index('corrections_home').on(table.homeId), index('corrections_plant').on(table.plantId)],
);

export const obstructions = sqliteTable(
  'obstructions',
  {
    id: text().primaryKey(),
    roomId: text()
      .notNull()
      .references(() => rooms.id),
    name: text().notNull(),
    kind: text().$type<ObstructionKind>().notNull(),
    fromBearing: real().notNull(),
    toBearing: real().notNull(),
    heightDeg: real().notNull(),
    reflectance: real().notNull(),
    leafMonths: text({ mode: 'json' }).$type<number[]>().notNull(),
  },
  (table) => [index('obstructions_room').on(table.roomId)],
);

export const blocks = sqliteTable(
  'blocks',
  {
    id: text().primaryKey(),
    roomId: text()
      .notNull()
      .references(() => rooms.id),
    name: text().notNull(),
    xM: real().notNull(),
    yM: real().notNull(),
    zM: real().notNull(),
    widthM: real().notNull(),
    depthM: real().notNull(),
    heightM: real().notNull(),
  },
  (table) => [index('blocks_room').on(table.roomId)],
);

export const weathers = sqliteTable(
  'weathers',
  {
    id: text().primaryKey(),
    homeId: text()
      .notNull()
      .references(() => homes.id),
    name: text().notNull(),
    latitude: real().notNull(),
    longitude: real().notNull(),
    elevationM: real().notNull(),
    utcOffsetH: real().notNull(),
    years: text().notNull(),
    hours: text().notNull(),
  },
  (table) => [index('weathers_home').on(table.homeId)],
);

/** A reading outlives its spot: it was taken, whatever has been moved since. */
export const readings = sqliteTable(
  'readings',
  {
    id: text().primaryKey(),
    homeId: text()
      .notNull()
      .references(() => homes.id),
    spotId: text().notNull(),
    atMs: integer().notNull(),
    value: real().notNull(),
    unit: text().$type<ReadingUnit>().notNull(),
    sky: text().$type<ReadingSky>().notNull(),
    outdoorValue: real(),
    curtains: text().$type<Reading['curtains']>().notNull(),
    lamps: text().$type<Reading['lamps']>().notNull(),
    note: text().notNull(),
    withdrawnOn: text(),
  },
  (table) => [index('readings_home').on(table.homeId)],
);

/** Append-only: what changed and when, with the states before and after. Outlives the homes it tells of. */
export const journal = sqliteTable(
  'journal',
  {
    /** Order of writing. */
    sequence: integer().primaryKey({ autoIncrement: true }),
    id: text().notNull().unique(),
    homeId: text().notNull(),
    at: integer().notNull(),
    kind: text().$type<JournalEntry['kind']>().notNull(),
    summary: text().notNull(),
    plantId: text(),
    undoes: text().unique(),
    changes: text({ mode: 'json' }).$type<JournalEntry['changes']>().notNull(),
  },
  (table) => [index('journal_home').on(table.homeId, table.sequence)],
);

/** Which journal entries touch which plant, so that a plant's own journal is read without opening all of them. */
export const journalPlants = sqliteTable(
  'journal_plants',
  {
    sequence: integer()
      .notNull()
      .references(() => journal.sequence),
    plantId: text().notNull(),
  },
  (table) => [index('journal_plants_plant').on(table.plantId, table.sequence)],
);
