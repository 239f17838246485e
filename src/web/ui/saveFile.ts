/** Long enough for a browser to begin its saving. */
const KEPT_MS = 60_000;

/** Saves something as a file of this browser. */
export function saveBlob(blob: Blob, fileName: string): void {
  const url = URL.createObjectURL(blob);
  const link = document.createElement('a');
  link.href = url;
  link.download = fileName;
  link.click();
  setTimeout(() => {
    URL.revokeObjectURL(url);
  }, KEPT_MS);
}

/** A table begins with a mark, so that spreadsheets read ⅓ and é. */
export function saveText(text: string, fileName: string, type: string): void {
  const body = type === 'text/csv' ? `\uFEFF${text}` : text;
  saveBlob(new Blob([body], { type: `${type};charset=utf-8` }), fileName);
}
