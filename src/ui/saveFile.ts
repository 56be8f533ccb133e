/** Hands a file to the browser to keep. */
export function saveFile(blob: Blob, name: string): void {
  const a = document.createElement('a');
  a.href = URL.createObjectURL(blob);
  a.download = name;
  a.click();
  setTimeout(() => URL.revokeObjectURL(a.href), 1000);
}

export const saveCsv = (text: string, name: string): void =>
  saveFile(new Blob([text], { type: 'text/csv' }), `${name}.csv`);
