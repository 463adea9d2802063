/** What is wrong, said at once to who listens to the screen; nothing where nothing is. */
import { View } from 'react-native';
import { Body } from './type';
import { useInk } from './use-ink';

export function Wrong({ message }: { readonly message: string | null }) {
  const { danger } = useInk();
  if (message === null) return null;
  return (
    <View role="alert">
      <Body style={{ color: danger }}>{`✕ ${message}`}</Body>
    </View>
  );
}
