/** Hands text to the browser as a file to keep. */
export function download(fileName: string, type: string, text: string): void {
  const url = URL.createObjectURL(new Blob([text], { type }));
  const link = document.createElement('a');
  [link.href, link.download] = [url, fileName];
  link.click();
  setTimeout(() => URL.revokeObjectURL(url), 1_000);
}
