/** Who cooks on this device: a name chosen here, not a login. */
const COOK_KEY = 'ygrana-cook';
export function cookHere(): string | null {
  try {
    return localStorage.getItem(COOK_KEY);
  } catch {
    return null;
  }
}
export function setCookHere(cookId: string): void {
  try {
    localStorage.setItem(COOK_KEY, cookId);
  } catch {
    // Asked again next time.
  }
  window.dispatchEvent(new Event('ygrana-cook'));
}
