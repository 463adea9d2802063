/**
 * What keeps a form from being kept, below its fields: what concerns none of them, that some are marked, why it was
 * refused.
 */
import { View } from 'react-native';
import { SPACE } from '../ui/theme';
import { Body } from '../ui/type';
import { useInk } from '../ui/use-ink';
import { WHOLE_FORM } from './typed-schema';
import type { DraftForm } from './use-draft-form';
import { REFUSED as WORDS } from './part-words';

interface Given {
  readonly form: Pick<DraftForm<unknown>, 'errors' | 'submitted' | 'entry' | 'refusal'>;
}

export function Refused({ form: { errors, submitted, entry, refusal } }: Given) {
  const { danger } = useInk();
  const told = refusal ?? (submitted && entry === null ? WORDS.marked : null);
  const ofAll = errors[WHOLE_FORM];
  return (
    <View style={{ gap: SPACE.xs }}>
      {ofAll ? <Body style={{ color: danger }}>✕ {ofAll}</Body> : null}
      {told ? (
        <View role="alert">
          <Body style={{ color: danger }}>✕ {told}</Body>
        </View>
      ) : null}
    </View>
  );
}
