/** The demo as the parts of a bundle, as if a grower had imported it. */
import { BUNDLE_FORMAT, BUNDLE_VERSION } from '@dulvan/contract';
import type { BundlePart } from '@dulvan/formats/bundle';
import { backRoom } from './back-room';
import { sailLoft } from './sail-loft';
import { sailLoftLoggers } from './sail-loft-loggers';

/** The day the demo is set on. */
const EXPORTED_AT = '2026-11-23T00:00:00.000Z';

export function demoParts(): BundlePart[] {
  const homes = [sailLoft, backRoom];
  const manifest = {
    format: BUNDLE_FORMAT,
    version: BUNDLE_VERSION,
    exportedAt: EXPORTED_AT,
    homes: homes.map(({ home: { id, name } }) => ({ id, name })),
  } as const;
  return [
    { what: 'manifest', manifest },
    ...homes.map((facts): BundlePart => ({ what: 'facts', homeId: facts.home.id, facts })),
    ...sailLoftLoggers(sailLoft, Date.parse(EXPORTED_AT)),
  ];
}
