/** What the screen of timer plugs says. */

export const PLUGS_SCREEN = {
  place: 'The place',
  title: 'Timer plugs',
  about:
    'A plug on your network that keeps a timer’s programme by itself. Each is asked every minute what it does, and ' +
    'what it says is held against its timer here. Only a plug you arm is ever set from here.',
  none: 'No plug is known yet.',
  working: 'Asking for the plugs',
  timerGone: 'Its timer is gone.',
  isOn: (watts: string | null) => (watts === null ? 'on' : `on, with ${watts} W`),
  isOff: 'off',
  toldAgo: (ago: string, state: string) => `${ago} ago it was ${state}.`,
  timerSays: (timer: string, programme: string) => `${timer}: ${programme}`,
  neverTold: 'has told nothing yet',
  clockAndYear: (clock: string, programme: string) => `Its clock showed ${clock}. It keeps ${programme}.`,
  keepsNothing: 'no programme',
  asItShould: '✓ As its timer says.',
  armed: (sent: string | null) =>
    sent === null ? 'Armed: it is set when it differs from its timer.' : `Armed. Last set ${sent} ago.`,
  notArmed: 'Not armed: nothing is sent to it.',
  check: 'Check it now',
  checkOf: (name: string) => `Check ${name} now`,
  arm: 'Arm it …',
  armOf: (name: string) => `Arm ${name}`,
  disarm: 'Disarm it',
  disarmOf: (name: string) => `Disarm ${name}`,
  forget: 'Forget it',
  forgetOf: (name: string) => `Forget ${name}`,
};

export const ARM_SHEET = {
  title: (name: string) => `Let Dulvan set ${name}?`,
  what: (timer: string, programme: string) =>
    `From now on its clock and programme are set to “${timer}”: ${programme}. When you change that timer or do a ` +
    'step of a plan, the plug follows within a minute.',
  keepsOn: 'The plug switches by itself: it goes on when Dulvan is off.',
  cautions: [
    'Only lamps hang on it, and nothing that must not come on alone: no heater, no pump, no humidifier.',
    'Its label allows their load, with some room for the surge when they come on.',
    'It stays dry, above any water, with a drip loop in the cable, and can be reached to pull it.',
  ],
  expert: 'Local codes come first; what is wired in is for a licensed electrician.',
  yes: 'Arm it',
  no: 'Leave it',
};

export const ADD_PLUG = {
  title: 'Add a plug',
  about: 'Say where it is reached. Nothing is sent to it before you arm it.',
  name: 'What you call it',
  timer: 'Its timer',
  address: 'Its address',
  addressHelp: 'As your router shows it, such as http://192.168.1.20',
  add: 'Add it',
  noTimer: 'Every timer has its plug already.',
  noTimerYet: 'Add a lamp timer first.',
  speaks: 'How a plug must speak is told in docs/plugs.md.',
};
