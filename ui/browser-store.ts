/** What this browser keeps under a name; nothing where it keeps none or has no store. */
export function readStored(key: string): string | undefined {
  try {
    return localStorage.getItem(key) ?? undefined;
  } catch {
    return undefined;
  }
}

/**
 * Keeps a text in this browser under a name; nothing there removes it.
 * @returns whether the store took it: a full or forbidden one does not
 */
export function store(key: string, text: string | undefined): boolean {
  try {
    if (text === undefined) localStorage.removeItem(key);
    else localStorage.setItem(key, text);
    return true;
  } catch {
    return false;
  }
}
