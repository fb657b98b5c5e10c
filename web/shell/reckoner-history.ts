const KEY = 'earnest-still:computed';
const MOST = 30;

/** Lines computed before on this device, newest first. */
export function readHistory(): readonly string[] {
  try {
    const stored: unknown = JSON.parse(localStorage.getItem(KEY) ?? '[]');
    return Array.isArray(stored) ? stored.filter((each) => typeof each === 'string').slice(0, MOST) : [];
  } catch {
    return [];
  }
}

export function remember(line: string): readonly string[] {
  const lines = [line.trim(), ...readHistory().filter((each) => each !== line.trim())].slice(0, MOST);
  try {
    localStorage.setItem(KEY, JSON.stringify(lines));
  } catch {
    // Kept for this page alone.
  }
  return lines;
}
