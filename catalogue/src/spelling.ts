/** How names are written down to compare them: as they sound, without what languages and growers swap. */

/** A letter more than once; of a number each figure counts. */
const DOUBLED = /([a-z])\1+/g;

/**
 * Letters that growers and languages swap in plant names, folded to one spelling: ph/f, th/t, y/i, k/c, x/cs, ae and oe
 * to e, doubled letters. Accents go.
 */
export function folded(word: string): string {
  return softlyFolded(word).replace(/ae|oe/g, 'e').replace(DOUBLED, '$1');
}

/** As `folded`, but ae and oe stay: half of them may be typed so far. */
export function softlyFolded(word: string): string {
  return word
    .toLowerCase()
    .normalize('NFD')
    .replace(/ß/g, 'ss')
    .replace(/[^a-z0-9]/g, '')
    .replace(/ph/g, 'f')
    .replace(/([ctrg])h/g, '$1')
    .replace(/sc(?=[ei])/g, 's')
    .replace(/c(?=[ei])/g, 's')
    .replace(/tch/g, 'c')
    .replace(/qu|kw|gw|gu(?=i)/g, 'c')
    .replace(/x/g, 'cs')
    .replace(/k/g, 'c')
    .replace(/z/g, 's')
    .replace(/[yj]/g, 'i')
    .replace(/w/g, 'v')
    .replace(DOUBLED, '$1');
}

/** Words of a name: an apostrophe inside a word is left out, as growers do. */
export const wordsOf = (text: string): string[] =>
  text
    .replace(/['’‘]/g, '')
    .split(/[\s\-–×.(),/]+/)
    .filter((word) => word.length > 0);
