/** How a room is warmed and aired, and what wets its air: the facts its air is computed from. */

export const HEATINGS = ['set', 'none'] as const;
/** `set`: held at what is set by day and by night; `none`: as sun, lamps, people and the neighbours leave it. */
export type Heating = (typeof HEATINGS)[number];

/** How well its outer walls keep warmth. */
export const ENVELOPES = ['thin', 'usual', 'insulated'] as const;
export type Envelope = (typeof ENVELOPES)[number];

/**
 * How its air is changed for outside air, or a cabinet's for that of its room: shut and tight, shut but leaky, a window
 * tilted (the door ajar), opened wide twice a day, or by a fan that runs all day.
 */
export const AIRINGS = ['closed', 'leaky', 'tilted', 'twice-a-day', 'fan'] as const;
export type Airing = (typeof AIRINGS)[number];

/** What the shell of a cabinet, tent, terrarium or dome is made of. */
export const SHELL_KINDS = ['glass', 'double-glass', 'acrylic', 'polycarbonate', 'film', 'fabric'] as const;
export type ShellKind = (typeof SHELL_KINDS)[number];

export interface RoomClimate {
  readonly id: string;
  readonly roomId: string;
  readonly heating: Heating;
  /** What is set, C, and from when to when it is day for the heating, minutes after midnight. */
  readonly dayC: number;
  readonly nightC: number;
  readonly dayFromMinute: number;
  readonly dayToMinute: number;
  readonly envelope: Envelope;
  readonly airing: Airing;
  /** Hours that people are in it in a day, each person counted: two for four hours are eight. */
  readonly peopleHours: number;
  readonly laundryLoadsWeek: number;
  readonly mealsDay: number;
  readonly showersDay: number;
  /** Of a cabinet; of a room nothing follows from it. */
  readonly shell: ShellKind;
}
