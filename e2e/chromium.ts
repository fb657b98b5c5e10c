import { existsSync } from 'node:fs';

const PLACES = [
  '/usr/lib/chromium/chromium-headless-shell',
  '/usr/bin/chromium',
  '/usr/bin/chromium-browser',
  '/usr/bin/google-chrome',
];

/** Where Chromium stands on this machine; the test script installs Debian's when it may. */
export function chromiumPath(): string {
  const own = process.env.CHROMIUM_PATH;
  const found = own ?? PLACES.find((path) => existsSync(path));
  if (!found) throw new Error('No Chromium found: install the package chromium-headless-shell or set CHROMIUM_PATH.');
  return found;
}
