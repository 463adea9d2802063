/** What answers need to know beyond a home's own facts: looked up by key in the catalogue. */
import type { Glass, CurtainOptics } from '../light';
import type { Intensities, WeatherHour } from '../facts';
import type { Taxon } from '../taxon';

export interface ClimateFamily {
  readonly id: string;
  readonly name: string;
  /** Northern calendar, January first: mean daily clearness index, outdoor day and night temperature (C), relative humidity (%). */
  readonly clearness: readonly number[];
  readonly dayC: readonly number[];
  readonly nightC: readonly number[];
  readonly rh: readonly number[];
  /** Linke turbidity of its clear days. */
  readonly turbidity: number;
}

/** A glazing and what it loses of the room's warmth, W m-2 K-1. */
export type GlazingKind = Glass & { readonly uValue?: number };

/** Each look-up gives null for a key the catalogue does not hold. */
export interface Knowledge {
  taxon(id: string): Taxon | null;
  glazing(id: string): GlazingKind | null;
  curtain(id: string): CurtainOptics | null;
  climate(id: string): ClimateFamily | null;
}

/** Stored files that facts name by key. A file that is not at hand is an error: nothing is computed as if it were not there. */
export interface Attachments {
  weatherHours(fileKey: string): readonly WeatherHour[];
  intensities(fileKey: string): Intensities;
}

/** All that answers are made from besides the facts. */
export type Sources = Knowledge & Attachments;

/** A stored file was asked for that has not been loaded. */
export class MissingAttachment extends Error {
  constructor(readonly fileKey: string) {
    super(`A stored file is not at hand: ${fileKey}`);
  }
}

/** Files held in memory, by their key. */
export class AttachmentShelf implements Attachments {
  private readonly hours = new Map<string, readonly WeatherHour[]>();
  private readonly spreads = new Map<string, Intensities>();

  holds(fileKey: string): boolean {
    return this.hours.has(fileKey) || this.spreads.has(fileKey);
  }

  putHours(fileKey: string, hours: readonly WeatherHour[]): void {
    this.hours.set(fileKey, hours);
  }

  putIntensities(fileKey: string, intensities: Intensities): void {
    this.spreads.set(fileKey, intensities);
  }

  weatherHours(fileKey: string): readonly WeatherHour[] {
    const hours = this.hours.get(fileKey);
    if (!hours) throw new MissingAttachment(fileKey);
    return hours;
  }

  intensities(fileKey: string): Intensities {
    const spread = this.spreads.get(fileKey);
    if (!spread) throw new MissingAttachment(fileKey);
    return spread;
  }
}
