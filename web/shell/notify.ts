import type { Due } from './due-now.ts';

/** How this browser tells of things while one does not look. */
export type Telling = 'on' | 'asked' | 'refused' | 'none';

/** Whether it can: over plain http on the home network no browser lets a page do so. */
export function telling(): Telling {
  if (!('Notification' in window) || !window.isSecureContext || !('serviceWorker' in navigator)) return 'none';
  return ({ granted: 'on', denied: 'refused', default: 'asked' } as const)[Notification.permission];
}

/** Asks the person; where the browser can look by itself now and then with the page closed, that is asked of it too. */
export async function askToTell(): Promise<Telling> {
  if (telling() === 'none') return 'none';
  await Notification.requestPermission();
  const registration = await navigator.serviceWorker.getRegistration();
  // A browser that has no such thing, or wants the page installed first, refuses: then only an open page tells.
  const periodic = (
    registration as { periodicSync?: { register: (tag: string, how: object) => Promise<void> } } | undefined
  )?.periodicSync;
  await periodic?.register('due', { minInterval: 15 * 60_000 }).catch(() => undefined);
  return telling();
}

/** Shows it through the service worker, so that a tap finds the page again, or opens it. */
export async function tell({ key, text, url, alarm }: Due): Promise<void> {
  if (telling() !== 'on') return;
  const registration = await navigator.serviceWorker.getRegistration();
  await registration?.showNotification(alarm ? 'Alarm at the bench' : 'At the bench', {
    body: text,
    tag: key,
    data: { key, url },
    requireInteraction: alarm,
  });
}
