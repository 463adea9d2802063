/** Writes packed copies (.br, .gz) beside the built app's text files, so that serving them costs nothing. */
import { readFile, readdir, writeFile } from 'node:fs/promises';
import path from 'node:path';
import { promisify } from 'node:util';
import { brotliCompress, constants, gzip } from 'node:zlib';

const PACKABLE = /\.(js|css|html|json|svg|ttf|wasm|map)$/;
const SMALLEST = 1024;

const toBrotli = promisify(brotliCompress);
const toGzip = promisify(gzip);

export async function pack(folder) {
  const entries = await readdir(folder, { recursive: true, withFileTypes: true });
  const files = entries
    .filter((entry) => entry.isFile() && PACKABLE.test(entry.name))
    .map((entry) => path.join(entry.parentPath, entry.name));
  await Promise.all(
    files.map(async (file) => {
      const plain = await readFile(file);
      if (plain.length < SMALLEST) return;
      const quality = { params: { [constants.BROTLI_PARAM_QUALITY]: 9 } };
      await Promise.all([
        writeFile(`${file}.br`, await toBrotli(plain, quality)),
        writeFile(`${file}.gz`, await toGzip(plain, { level: 9 })),
      ]);
    }),
  );
}
