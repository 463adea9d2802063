/** A drawing as wide as its place, with what explains it; kept as a picture on demand. */
import { useRef, useState, type ReactNode } from 'react';
import { Pressable, Text, View } from 'react-native';
import { savePicture } from './picture';
import { FONT, SPACE, TOUCH } from './theme';
import { Small } from './type';
import { useInk } from './use-ink';

interface Given {
  /** What it shows: the title over its picture, and the picture's file name. */
  readonly name: string;
  readonly minHeight: number;
  /** Goes onto the picture below the drawing. */
  readonly legend?: ReactNode;
  /** The drawing for a width in px. */
  readonly children: (width: number) => ReactNode;
}

export function Drawing({ name, minHeight, legend, children }: Given) {
  const ink = useInk();
  const sheet = useRef<View>(null);
  const [width, setWidth] = useState(0);
  const [failure, setFailure] = useState<string | null>(null);
  const keep = async () => {
    try {
      setFailure(null);
      // On the web a View is an element of the page.
      await savePicture(sheet.current as unknown as HTMLElement, name, {
        paper: ink.paper,
        ink: ink.ink,
        lettering: FONT.lettering,
      });
    } catch (error) {
      setFailure(`No picture could be made: ${error instanceof Error ? error.message : String(error)}`);
    }
  };
  return (
    <View>
      <View
        ref={sheet}
        onLayout={(event) => setWidth(event.nativeEvent.layout.width)}
        style={{ minHeight, gap: SPACE.xs }}
      >
        {width > 0 ? children(width) : null}
        {legend}
      </View>
      <Pressable
        role="button"
        aria-label={`Keep as a picture: ${name}`}
        onPress={() => void keep()}
        style={({ pressed }) => ({
          alignSelf: 'flex-end',
          minHeight: TOUCH,
          justifyContent: 'center',
          opacity: pressed ? 0.7 : 1,
        })}
      >
        <Text style={{ fontFamily: FONT.strong, fontSize: 14, color: ink.accent, textDecorationLine: 'underline' }}>
          Keep as a picture
        </Text>
      </Pressable>
      {failure ? (
        <View role="alert">
          <Small style={{ color: ink.danger }}>{failure}</Small>
        </View>
      ) : null}
    </View>
  );
}
