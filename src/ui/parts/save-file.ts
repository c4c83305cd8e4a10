/** Hands a text or a file made in the browser over to be saved. */
export function saveFile(name: string, content: string | Blob, mediaType: string): void {
  const blob = typeof content === 'string' ? new Blob([content], { type: `${mediaType};charset=utf-8` }) : content;
  const url = URL.createObjectURL(blob);
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(url), 10_000);
}
