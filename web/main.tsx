import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { must } from '#base/lookup';
import './theme/tokens.css';
import './theme/base.css';
import './kit/kit.css';
import { App } from './app.tsx';

// An old page asks for a part that an upgrade took away: the new page has it.
window.addEventListener('vite:preloadError', (event) => {
  if (onceIn('reloaded-for-a-part', 10_000)) {
    event.preventDefault();
    window.location.reload();
  }
});
// Once the page stands, its files are kept for when the server is stopped.
if (import.meta.env.PROD)
  window.addEventListener('load', () => {
    // Without it all is as before: a browser may forbid it, and over plain http on the home network it does.
    navigator.serviceWorker?.register('/sw.js').catch(() => undefined);
  });

createRoot(must(document.getElementById('root'), 'place to draw into')).render(
  <StrictMode>
    <App />
  </StrictMode>,
);

/** Whether this has not been done within so many ms; it then counts as done. */
function onceIn(what: string, ms: number): boolean {
  try {
    const last = Number(sessionStorage.getItem(what));
    sessionStorage.setItem(what, String(Date.now()));
    return Date.now() - last > ms;
  } catch {
    return false;
  }
}
