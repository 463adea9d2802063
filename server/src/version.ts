/** The version of this Dulvan, as its packages carry it. */
import manifest from '../package.json';

export const VERSION: string = manifest.version;
