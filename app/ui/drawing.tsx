/** A drawing as wide as its place, with what explains it; kept as a picture on demand. */
import { useRef, useState, type ReactNode } from 'react';
import { View } from 'react-native';
import { Button } from './button';
import { Fitted } from './fitted';
import { savePicture } from './picture';
import { FONT, SPACE } from './theme';
import { Small } from './type';
import { useInk } from './use-ink';
import { DRAWING as WORDS } from './ui-words';

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
      setFailure(WORDS.noPicture(error instanceof Error ? error.message : String(error)));
    }
  };
  return (
    <View>
      <Fitted ref={sheet} minHeight={minHeight} style={{ gap: SPACE.xs }} below={legend}>
        {children}
      </Fitted>
      <Button
        kind="quiet"
        label={WORDS.savePictureOf(name)}
        onPress={() => void keep()}
        style={{ alignSelf: 'flex-end' }}
      >
        {WORDS.saveAsPicture}
      </Button>
      {failure ? (
        <View role="alert">
          <Small style={{ color: ink.danger }}>{failure}</Small>
        </View>
      ) : null}
    </View>
  );
}
