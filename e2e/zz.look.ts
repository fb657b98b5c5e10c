import { spawn } from 'node:child_process';
import { chromium } from '@playwright/test';

const [, , path, out, w = '1280', h = '800', act = ''] = process.argv;
const child = spawn('node', ['dist/server/main.js'], {
  env: { ...process.env, EARNEST_HOME: process.env.EH ?? '/tmp/demo', PORT: '0' },
});
const url = await new Promise<string>((ok) =>
  child.stdout.on('data', (d) => {
    const m = /http:\/\/[\d.:]+/.exec(String(d));
    if (m) ok(m[0]);
  }),
);
const browser = await chromium.launch({
  executablePath: '/usr/lib/chromium/chromium-headless-shell',
  args: ['--no-sandbox'],
});
const page = await browser.newPage({ viewport: { width: +w, height: +h } });
page.on('console', (m) => {
  if (m.type() === 'error') console.log('console:', m.text().slice(0, 300));
});
page.on('pageerror', (e) => console.log('pageerror:', e.message.slice(0, 400)));
let p = path!;
if (p.includes('{still}')) {
  const all = await (await fetch(`${url}/api/batches`)).json();
  const b = all.find((x: { routeId: string }) => x.routeId === 'constant-boiling-acid');
  p = p.replace('{still}', b.id);
}
await page.goto(url + p);
await page.waitForTimeout(Number(process.env.WAIT ?? 4000));
if (act) await page.evaluate(act);
if (process.env.STEPS) {
  const fn = new Function('page', `return (async () => { ${process.env.STEPS} })()`);
  await fn(page);
}
await page.screenshot({ path: out!, fullPage: process.env.FULL === '1' });
await browser.close();
child.kill();
