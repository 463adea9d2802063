/** Files to and from the browser. */

/** Hands a text or a picture to the browser to keep as a file. */
export function saveFile(name: string, content: BlobPart, type: string): void {
  const url = URL.createObjectURL(new Blob([content], { type }));
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  URL.revokeObjectURL(url);
}

/** Lets the browser fetch an address into a file of its own: however large, it passes through no memory of the page. */
export function saveAddress(address: string): void {
  const link = document.createElement('a');
  link.href = address;
  link.download = '';
  link.click();
}
