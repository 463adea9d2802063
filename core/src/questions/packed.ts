/** Answers as plain JSON and back: rows of numbers cross as base 64, with the type they had. */

const ARRAYS = { f32: Float32Array, f64: Float64Array, u8: Uint8Array } as const;
type ArrayName = keyof typeof ARRAYS;

/** The key that marks a row of numbers; no answer has a field of that name. */
const MARK = '$row';

interface PackedRow {
  readonly [MARK]: ArrayName;
  readonly data: string;
}

/** Bytes turned into text at a time: a call takes only so many arguments. */
const CHUNK = 8192;

function toBase64(bytes: Uint8Array): string {
  let text = '';
  for (let i = 0; i < bytes.length; i += CHUNK) text += String.fromCharCode(...bytes.subarray(i, i + CHUNK));
  return btoa(text);
}

const fromBase64 = (text: string): Uint8Array => Uint8Array.from(atob(text), (letter) => letter.charCodeAt(0));

/** An answer as a value that JSON can hold. Numbers without bound become null, as JSON has it. */
export function packed(value: unknown): unknown {
  for (const name of Object.keys(ARRAYS) as ArrayName[]) {
    if (value instanceof ARRAYS[name]) {
      return { [MARK]: name, data: toBase64(new Uint8Array(value.buffer, value.byteOffset, value.byteLength)) };
    }
  }
  if (Array.isArray(value)) return value.map(packed);
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(Object.entries(value).map(([key, part]) => [key, packed(part)]));
}

/** An answer that was packed, as it was. */
export function unpacked(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(unpacked);
  if (typeof value !== 'object' || value === null) return value;
  if (MARK in value) {
    const { [MARK]: name, data } = value as PackedRow;
    return new ARRAYS[name](fromBase64(data).buffer as ArrayBuffer);
  }
  return Object.fromEntries(Object.entries(value).map(([key, part]) => [key, unpacked(part)]));
}
