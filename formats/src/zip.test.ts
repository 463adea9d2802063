import fc from 'fast-check';
import { buffer } from 'node:stream/consumers';
import { BrokenZip, unzipped, zipped, type ZipEntry } from './zip';

async function filesIn(zip: Uint8Array): Promise<Record<string, number[]>> {
  const files: Record<string, number[]> = {};
  for await (const { path, bytes } of unzipped(zip, () => true)) (files[path] ??= []).push(...bytes);
  return files;
}

const entry = (path: string, packing: ZipEntry['packing'], ...content: Uint8Array[]): ZipEntry => ({
  path,
  packing,
  content,
});

it('zips give back what was put in, packed or not, in whatever pieces', async () => {
  const pieces = fc.array(fc.uint8Array({ maxLength: 300 }), { maxLength: 4 });
  await fc.assert(
    fc.asyncProperty(pieces, fc.constantFrom('deflate', 'store'), async (content, packing) => {
      const zip = await buffer(zipped(['a.bin', 'b.bin'].map((path) => entry(path, packing, ...content))));
      const wanted = content.flatMap((piece) => [...piece]);
      const files = { 'a.bin': [] as number[], 'b.bin': [] as number[], ...(await filesIn(zip)) };
      expect(files).toEqual({ 'a.bin': wanted, 'b.bin': wanted });
    }),
    { numRuns: 60 },
  );
});

it('a file may hold what marks the beginning or the end of a file in a zip', async () => {
  const marks = Uint8Array.from([0x50, 0x4b, 7, 8, 1, 2, 0x50, 0x4b, 3, 4, 5, 0x50, 0x4b, 1, 2, 0x50, 0x4b, 5, 6, 9]);
  const inner = await buffer(zipped([entry('in.bin', 'store', marks)]));
  const files = await filesIn(await buffer(zipped([entry('m.bin', 'store', marks), entry('z.zip', 'store', inner)])));
  expect(files).toEqual({ 'm.bin': [...marks], 'z.zip': [...inner] });
});

it('tells a file whose bytes are others than were put in', async () => {
  const zip = Buffer.from(await buffer(zipped([entry('a.txt', 'store', Buffer.from('a spike since Monday'))])));
  zip[zip.indexOf('spike')] = 'p'.charCodeAt(0);
  await expect(filesIn(zip)).rejects.toThrow(new BrokenZip('a.txt cannot be unpacked: its checksum is another.'));
});

it('touches the content of an entry only when its turn has come', async () => {
  const begun: string[] = [];
  const told = (path: string): ZipEntry => ({
    path,
    packing: 'store',
    content: (function* () {
      begun.push(path);
      for (let i = 0; i < 40; i++) yield new Uint8Array(65_536);
    })(),
  });
  let pieces = 0;
  for await (const _piece of zipped([told('a'), told('b')])) if ((pieces += 1) === 5) break;
  expect(begun).toEqual(['a']);
});

it('what fails while it is made fails for who takes it', async () => {
  const failing = (function* (): Generator<Uint8Array> {
    yield new Uint8Array(3);
    throw new Error('The disk is gone.');
  })();
  await expect(buffer(zipped([{ path: 'a', packing: 'deflate', content: failing }]))).rejects.toThrow(
    'The disk is gone.',
  );
});
