// Part of the service worker: what was shown is tapped; and with the page closed, where the browser allows it, the clock is looked at
// now and then. It talks to the notebook alone.
self.addEventListener('notificationclick', (event) => {
  event.notification.close();
  const { url = '/bench' } = event.notification.data ?? {};
  event.waitUntil(
    self.clients.matchAll({ type: 'window', includeUncontrolled: true }).then((pages) => {
      const [page] = pages;
      if (!page) return self.clients.openWindow(url);
      return page.focus().then((shown) => shown.navigate(url));
    }),
  );
});

self.addEventListener('periodicsync', (event) => {
  if (event.tag === 'due') event.waitUntil(tellWhatIsDue());
});

async function tellWhatIsDue() {
  const [clock, notices] = await Promise.all(['/api/clock', '/api/notices'].map((path) => fetch(path).then((each) => each.json())));
  const seen = new Map(notices.map((each) => [each.of, each]));
  const now = Date.parse(clock.now);
  for (const { batchId, step, kind, text, at } of clock.items) {
    if (kind !== 'alarm' && (at === null || Date.parse(at) > now)) continue;
    const key = `${batchId}:${step}:${kind}:${kind === 'alarm' ? '' : at}:${text}`.slice(0, 300);
    const notice = seen.get(key);
    if (notice && (notice.until === null || Date.parse(notice.until) > now)) continue;
    const data = { key, url: `/bench/${batchId}?step=${step}` };
    await self.registration.showNotification('At the bench', { body: text, tag: key, data });
  }
}
