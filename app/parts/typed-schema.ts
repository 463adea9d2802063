/** A Zod schema over what is typed into a form: text by field in, an entry of the contract out. */
import { z, type ZodType } from 'zod';
import type { FormValues } from './use-draft-form';

/** What concerns no field of a form is told under this name. */
export const WHOLE_FORM = 'whole-form';

/** Says what is wrong with a field. */
export type Tell = (field: string, message: string) => void;

/** @param read what is typed as an entry, by the contract's own schema; null where it told what is wrong */
export const typedSchema = <Entry>(
  read: (values: FormValues, tell: Tell) => Entry | null,
): ZodType<Entry, FormValues> =>
  z
    .record(z.string(), z.string())
    .transform(
      (values, context) =>
        read(values, (field, message) => context.addIssue({ code: 'custom', path: [field], message })) ?? z.NEVER,
    );

interface Issue {
  readonly path: readonly PropertyKey[];
  readonly message: string;
}

/** Hands the issues of the contract's schema on, each to its field. */
export function tellIssues(issues: readonly Issue[], tell: Tell): null {
  for (const { path, message } of issues) tell(String(path[0] ?? ''), message);
  return null;
}
