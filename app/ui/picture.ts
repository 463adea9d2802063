/** Keeps what is drawn on the screen as a picture with its title over it. */
import { saveFile } from './files';
import { PICTURE as WORDS } from './ui-words';

export interface PictureLook {
  readonly paper: string;
  readonly ink: string;
  readonly lettering: string;
}

/** Pixels of the picture for each one on the screen: sharp on paper too. */
const DENSITY = 2;
const MARGIN = 16;
const TITLE_SIZE = 18;

/** A file's name from a title: plain letters, numbers and hyphens. */
export function fileNameOf(title: string): string {
  const plain = title
    .normalize('NFKD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '');
  return `${plain.slice(0, 80) || 'drawing'}.png`;
}

/** Draws an element of the page as a PNG and hands it to the browser. */
export async function savePicture(
  element: HTMLElement,
  title: string,
  { paper, ink, lettering }: PictureLook,
): Promise<void> {
  const { getFontEmbedCSS, toCanvas } = await import('html-to-image');
  // Lettering inside a drawing is passed over when fonts are looked for in it alone: the whole page uses them all.
  const fontEmbedCSS = await getFontEmbedCSS(document.body);
  const drawn = await toCanvas(element, { pixelRatio: DENSITY, backgroundColor: paper, fontEmbedCSS });
  const above = MARGIN + TITLE_SIZE + MARGIN;
  const canvas = document.createElement('canvas');
  canvas.width = drawn.width + 2 * MARGIN * DENSITY;
  canvas.height = drawn.height + (above + MARGIN) * DENSITY;
  const pen = canvas.getContext('2d');
  if (!pen) throw new Error(WORDS.noPictures);
  pen.fillStyle = paper;
  pen.fillRect(0, 0, canvas.width, canvas.height);
  pen.drawImage(drawn, MARGIN * DENSITY, above * DENSITY);
  pen.fillStyle = ink;
  pen.font = `${TITLE_SIZE * DENSITY}px ${lettering}`;
  pen.fillText(title, MARGIN * DENSITY, (MARGIN + TITLE_SIZE) * DENSITY, canvas.width - 2 * MARGIN * DENSITY);
  const picture = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve, 'image/png'));
  if (!picture) throw new Error(WORDS.emptyPicture);
  saveFile(fileNameOf(title), picture, 'image/png');
}
