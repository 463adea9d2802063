/** What the explanation of a figure says, but for its methods, file by file. */

export const WHY_SCREEN = {
  working: 'Working …',
  workingOutLosses: 'Working out what is lost on the way …',
  lostOnTheWay: 'Daylight lost on the way, reflected light not counted',
  lostOutside: 'To houses, hills, trees and overhangs',
  lostInOpening: 'To glass, frame, dirt, reveal and its cabinet’s shell',
  lostInside: 'To boards, cupboards, cabinets and neighbours',
  lostToCurtains: 'To curtains, blinds and films',
  arrivesStraight: 'Arrives straight from outside',
  aboutLosses:
    'Worked out one after the other, from bare openings under an open sky; in another order the shares ' +
    'would differ a little. Readings are not counted here.',
  madeOf: 'Made of',
  fromTheseFacts: 'From these facts',
  how: 'How',
  assumed: 'Assumed',
  howFarItMay: 'How far it may be off',
  parShare: (share: number) => `Daylight is turned to photons with ${share} of its energy as PAR and `,
  molAJoule: (umolPerJoule: number, thresholdPpfd: number) =>
    `${umolPerJoule} µmol a joule; a leaf takes it for day above ${thresholdPpfd} µmol/m²s.`,
};
