/** Stored files that facts name: loaded once, kept while the page lives. */
import { ask } from './api';

const loaded = new Map<string, Promise<string>>();

/** The text of a stored file. Rejects in plain words when it cannot be had. */
export function loadStoredFile(homeId: string, fileKey: string): Promise<string> {
  const key = `${homeId}/${fileKey}`;
  let text = loaded.get(key);
  if (!text) {
    text = ask('file', { params: { homeId, fileKey } }).then((answer) => {
      if (!answer.ok)
        throw new Error(`A file that the light is worked out from could not be loaded. ${answer.refusal.message}`);
      return new TextDecoder().decode(answer.value);
    });
    text.catch(() => loaded.delete(key));
    loaded.set(key, text);
  }
  return text;
}
