/** An expected refusal: the status to answer with and what to tell the grower. */
import type { Refusal } from '@dulvan/contract';

export type RefusalStatus = 401 | 400 | 403 | 404 | 409 | 413 | 415 | 422 | 503 | 507;

export class Refused extends Error {
  constructor(
    readonly status: RefusalStatus,
    readonly refusal: Refusal,
  ) {
    super(refusal.message);
  }
}

export const refuse = (status: RefusalStatus, message: string, more: Partial<Omit<Refusal, 'message'>> = {}) =>
  new Refused(status, { message, problems: [], ...more });

export const noSuchHome = () => refuse(404, 'This home is not kept here.');
