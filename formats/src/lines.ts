/** Bytes that come in pieces as whole lines of text. */
import { Broken } from './parsed';

/** Longest line that is read, characters: a journal entry may hold twenty thousand states. */
const LONGEST_LINE = 60_000_000;

/** Cuts pieces into lines, whatever the pieces' borders; the last line need not end. */
export class LineCutter {
  private readonly decoder = new TextDecoder('utf-8', { fatal: true });
  private rest = '';
  private cut = 0;

  /** The lines that a piece completes, each with its number from 1. */
  push(piece: Uint8Array, place: 'middle' | 'end'): { readonly text: string; readonly line: number }[] {
    const text = this.rest + this.decode(piece, place);
    const lines = text.split('\n');
    this.rest = place === 'end' ? '' : lines.pop()!;
    if (this.rest.length > LONGEST_LINE) throw new Broken(this.cut + 1, 'The line is too long.');
    return lines
      .map((line) => ({ text: line.replace(/\r$/, ''), line: (this.cut += 1) }))
      .filter(({ text: t }) => t !== '');
  }

  private decode(piece: Uint8Array, place: 'middle' | 'end'): string {
    try {
      return this.decoder.decode(piece, { stream: place === 'middle' });
    } catch {
      throw new Broken(this.cut + 1, 'Not text in UTF-8.');
    }
  }
}
