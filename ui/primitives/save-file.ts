/** Gives a file to whoever is at the browser, named after the line. */
export function saveFile(content: string, type: string, line: string, ending: string): void {
  const name = line.replaceAll(/[^\p{L}\p{N}]+/gu, '-').replaceAll(/^-|-$/g, '') || 'line';
  const link = document.createElement('a');
  link.href = URL.createObjectURL(new Blob([content], { type }));
  link.download = `${name}.${ending}`;
  link.click();
  URL.revokeObjectURL(link.href);
}
