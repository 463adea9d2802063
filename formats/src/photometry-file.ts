/** What photometric files of every format have in common: a distribution on its way to a fact. */
import { MOST_INTENSITIES, fluxOf, type Intensities, type Photometry } from '@dulvan/core';
import { Broken } from './parsed';

/** What a file tells of a lamp; a home and a key make it a fact. Lumens and watts are 0 where it does not say. */
export type ParsedPhotometry = Omit<Photometry, 'id' | 'homeId' | 'fileKey'> & Intensities;

/** Most planes and angles that are read. */
export const MOST_ANGLES = 361;

/** Checks a distribution and puts in the flux that its intensities add up to where the file states none. */
export function finished(measured: ParsedPhotometry, line: number, remarks: string[]): ParsedPhotometry {
  const { planes, angles, candela } = measured;
  if (candela.length > MOST_INTENSITIES)
    throw new Broken(line, `${candela.length} intensities; at most ${MOST_INTENSITIES} are read.`);
  const flux = fluxOf(measured);
  if (!(flux > 0)) throw new Broken(line, 'All its intensities are 0: such a lamp gives no light.');
  if (angles.length < 2 || planes.length < 1) throw new Broken(line, 'A distribution needs at least two angles.');
  const { lumens } = measured;
  if (lumens > 0 && (flux > 1.3 * lumens || flux < 0.3 * lumens)) {
    remarks.push(
      `Its intensities add up to ${Math.round(flux)} lm where it states ${Math.round(lumens)} lm: the spread is taken from the intensities, the amount from what you state for the lamp.`,
    );
  }
  return {
    ...measured,
    name: measured.name.trim().slice(0, 80) || 'Unnamed lamp',
    lumens: lumens > 0 ? lumens : Math.round(flux),
  };
}

/** Rising lists only. */
export function heldRising(list: readonly number[], line: number, what: string): void {
  for (let i = 1; i < list.length; i++)
    if (!(list[i]! > list[i - 1]!)) throw new Broken(line, `${what} must rise: ${list[i]} follows ${list[i - 1]}.`);
}
