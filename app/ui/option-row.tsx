/**
 * A row that is chosen or ticked as a whole: its sign, then its words. (Paper's own rows hold a second button in the
 * first.)
 */
import { View } from 'react-native';
import { TouchableRipple } from 'react-native-paper';
import { Icon, type IconName } from './icon';
import { SPACE, TOUCH } from './theme';
import { Body } from './type';
import { useInk } from './use-ink';

interface Given {
  readonly role: 'radio' | 'checkbox';
  readonly title: string;
  readonly chosen: boolean;
  readonly disabled?: boolean;
  readonly onPress: () => void;
}

const SIGN: Readonly<Record<Given['role'], readonly [on: IconName, off: IconName]>> = {
  radio: ['radiobox-marked', 'radiobox-blank'],
  checkbox: ['checkbox-marked', 'checkbox-blank-outline'],
};

export function OptionRow({ role, title, chosen, disabled = false, onPress }: Given) {
  const { accent, soft } = useInk();
  const [on, off] = SIGN[role];
  return (
    <TouchableRipple
      role={role}
      aria-checked={chosen}
      aria-label={title}
      aria-disabled={disabled}
      disabled={disabled}
      onPress={onPress}
      style={{ minHeight: TOUCH, justifyContent: 'center' }}
    >
      <View style={{ flexDirection: 'row', alignItems: 'center', gap: SPACE.s, paddingVertical: SPACE.xs }}>
        <Icon name={chosen ? on : off} size={24} color={chosen ? accent : soft} aria-hidden />
        <Body style={{ flex: 1, ...(disabled ? { color: soft } : {}) }}>{title}</Body>
      </View>
    </TouchableRipple>
  );
}
