/** Hands text to the browser as a file to keep. */
export const download = (fileName: string, type: string, text: string): void =>
  downloadBlob(fileName, new Blob([text], { type }));

/** The same for bytes. */
export const downloadBytes = (fileName: string, type: string, bytes: Uint8Array<ArrayBuffer>): void =>
  downloadBlob(fileName, new Blob([bytes], { type }));

function downloadBlob(fileName: string, blob: Blob): void {
  const url = URL.createObjectURL(blob);
  const link = document.createElement('a');
  [link.href, link.download] = [url, fileName];
  link.click();
  setTimeout(() => URL.revokeObjectURL(url), 1_000);
}
