/** Saves text as a file of this browser. A table begins with a mark, so that spreadsheets read ⅓ and é. */
export function saveText(text: string, fileName: string, type: string): void {
  const body = type === 'text/csv' ? `\uFEFF${text}` : text;
  const url = URL.createObjectURL(new Blob([body], { type: `${type};charset=utf-8` }));
  const link = document.createElement('a');
  link.href = url;
  link.download = fileName;
  link.click();
  setTimeout(() => {
    URL.revokeObjectURL(url);
  }, 60_000);
}
