/** A curtain hung anew: when it is shut until the grower says otherwise. */
import { ALL_MONTHS, type HungCurtain } from '@dulvan/core';

/** The middle of the day. */
export const MIDDAY = { fromMinute: 600, toMinute: 1080 } as const;

/** A curtain as it hangs at first. */
export const hungAnew = (curtainId: string): HungCurtain => ({ curtainId, months: ALL_MONTHS, ...MIDDAY });
