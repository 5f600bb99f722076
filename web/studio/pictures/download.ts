/** Hands bytes or text to the browser as a file to keep. */
export function saveBytes(content: Uint8Array | string, name: string, type: string): void {
  const address = URL.createObjectURL(new Blob([content as BlobPart], { type }));
  const link = document.createElement('a');
  link.href = address;
  link.download = name;
  link.click();
  // The browser has taken it over by the time the page comes to this.
  setTimeout(() => URL.revokeObjectURL(address), 10_000);
}
