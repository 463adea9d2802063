/** The demo as a bundle, as if a grower had imported it. */
import { BUNDLE_FORMAT, BUNDLE_VERSION, type Bundle } from '@dulvan/contract';
import { backRoom } from './back-room';
import { sailLoft } from './sail-loft';

export function demoBundle(): Bundle {
  return {
    format: BUNDLE_FORMAT,
    version: BUNDLE_VERSION,
    exportedAt: '2026-11-23T00:00:00.000Z',
    // Facts are read-only; a bundle's lists are plain ones.
    homes: structuredClone([sailLoft, backRoom]) as Bundle['homes'],
    journal: [],
  };
}
