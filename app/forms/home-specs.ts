/** What is asked of the home: where it lies, its weather and how its plants are kept. */
import { climates } from '@dulvan/catalogue';
import { SCHOOLS, SCHOOL_WORDS, type HomeFacts } from '@dulvan/core';
import { named, words, type Choice, type FormSpec } from './form-item';

/** Every zone this device knows, by its city, and the one that is set, which may go by another name. */
function timeZones(_facts: HomeFacts | null, { timeZone }: Readonly<Record<string, unknown>>): Choice[] {
  const known = Intl.supportedValuesOf('timeZone');
  const all = known.includes(String(timeZone)) ? known : [String(timeZone), ...known];
  return all.map((zone) => ({ value: zone, word: zone.replaceAll('_', ' ') }));
}

const reasonOf = ({ word, reason }: { readonly word: string; readonly reason: string }) => `${word}: ${reason}`;

export const HOME_SPECS = {
  home: {
    noun: 'home',
    items: [
      { field: 'name', label: 'Name', kind: 'text' },
      {
        field: 'latitude',
        label: 'Latitude',
        kind: 'number',
        unit: '°',
        help: 'Degrees north; south of the equator with a minus. Any map shows it; half a degree is near enough.',
      },
      {
        field: 'longitude',
        label: 'Longitude',
        kind: 'number',
        unit: '°',
        help: 'Degrees east; west of Greenwich with a minus.',
      },
      { field: 'elevationM', more: 'height above the sea', label: 'Height above the sea', kind: 'number', unit: 'm' },
      { field: 'timeZone', label: 'Time zone', kind: 'choice', choices: timeZones },
      {
        field: 'climateId',
        label: 'Weather most like',
        kind: 'choice',
        choices: () => named(climates),
        help: 'Says how cloudy each month is. The latitude suggests one. An imported weather file stands in its place.',
      },
      {
        field: 'snowMonths',
        more: 'snow in',
        label: 'Snow lies in',
        kind: 'months',
        help: 'Snow outside throws much more light in than grass.',
      },
      {
        field: 'restSchool',
        more: 'rest',
        label: 'How plants rest here',
        kind: 'choice',
        optional: 'optional',
        choices: () => [
          { value: '', word: 'As usual for each' },
          ...SCHOOLS.map((value) => ({ value, word: SCHOOL_WORDS[value].word })),
        ],
        help: ['Growers differ.', ...SCHOOLS.map((school) => reasonOf(SCHOOL_WORDS[school]))].join(' '),
      },
      {
        field: 'lightAim',
        more: 'light',
        label: 'Where in its band of light a plant should stand',
        kind: 'choice',
        choices: () => words({ whole: 'Anywhere in it', low: 'In the lower part', high: 'In the upper part' }),
        help: 'Low saves lamps and forgives missed water; high brings compact growth and flowers.',
      },
    ],
  },
} satisfies Record<string, FormSpec>;
