/** What stands for a choice that is made in a sheet: its present answer in a frame, which opens the sheet. */
import { View } from 'react-native';
import { TouchableRipple } from 'react-native-paper';
import { Icon, type IconName } from './icon';
import { SPACE, TOUCH } from './theme';
import { Body } from './type';
import { useInk } from './use-ink';

interface Given {
  readonly label: string;
  /** The answer as it stands. */
  readonly words: string;
  readonly icon?: IconName;
  readonly onPress: () => void;
}

export function Opener({ label, words, icon = 'menu-down', onPress }: Given) {
  const ink = useInk();
  return (
    <TouchableRipple
      role="button"
      aria-haspopup="dialog"
      aria-label={`${label}: ${words}`}
      onPress={onPress}
      style={{ minHeight: TOUCH, justifyContent: 'center', borderWidth: 1, borderColor: ink.strongLine }}
    >
      <View
        style={{ flexDirection: 'row', alignItems: 'center', gap: SPACE.s, paddingHorizontal: 12, paddingVertical: 6 }}
      >
        <Body style={{ flex: 1 }}>{words}</Body>
        <Icon name={icon} size={22} color={ink.soft} aria-hidden />
      </View>
    </TouchableRipple>
  );
}
