/** A document made into a PDF, with the fonts that Dulvan ships. Loaded when one is wanted. */
import { PublicSans_400Regular } from '@expo-google-fonts/public-sans/400Regular';
import { PublicSans_600SemiBold } from '@expo-google-fonts/public-sans/600SemiBold';
import { Asset } from 'expo-asset';
import * as bundled from 'pdfmake/build/pdfmake';
import type { PaperDocument } from './paper';

/** The package is one object with the methods of its class, which a namespace does not show. */
const { default: pdfMake } = bundled as unknown as { readonly default: typeof bundled };

/** Where the page gets a font from; never another host. */
const addressOf = (font: number): string => new URL(Asset.fromModule(font).uri, location.href).href;

export function pdfOf(document: PaperDocument): Promise<Blob> {
  const [normal, bold] = [addressOf(PublicSans_400Regular), addressOf(PublicSans_600SemiBold)];
  pdfMake.setFonts({ PublicSans: { normal, bold, italics: normal, bolditalics: bold } });
  pdfMake.setUrlAccessPolicy((address) => new URL(address).origin === location.origin);
  return pdfMake.createPdf(document).getBlob();
}
