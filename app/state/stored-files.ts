/** Stored files that facts name: loaded once, kept while the page lives. */
import { ask } from './api';
import { STORED_FILES as WORDS } from './state-words';

const loaded = new Map<string, Promise<string>>();

/** The text of a stored file. Rejects in plain words when it cannot be had. */
export function loadStoredFile(homeId: string, fileKey: string): Promise<string> {
  const key = `${homeId}/${fileKey}`;
  let text = loaded.get(key);
  if (!text) {
    text = ask('file', { params: { homeId, fileKey } }).then((answer) => {
      if (!answer.ok) throw new Error(WORDS.fileNotLoaded(answer.refusal.message));
      return new TextDecoder().decode(answer.value);
    });
    text.catch(() => loaded.delete(key));
    loaded.set(key, text);
  }
  return text;
}
