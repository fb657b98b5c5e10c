import { randomInt, timingSafeEqual } from 'node:crypto';
import { hostname, networkInterfaces } from 'node:os';

/** How long a code holds, and how often it may be missed. */
const CODE_HOLDS_MS = 10 * 60_000;
const MOST_MISSES = 5;

/** The notebook is open to the home network on purpose: under which names, and by which code a device is paired now. */
export class Sharing {
  private readonly besides: readonly string[];
  private code = '';
  private until = 0;
  private misses = 0;
  /** Where it listens; said once it does. */
  port = 0;

  /** `besides` are further names that this machine goes by, as a router gives them. */
  constructor(besides: readonly string[] = []) {
    this.besides = besides.map((each) => each.toLowerCase());
  }

  /** Addresses and names it answers to, besides those of the machine itself. */
  names(): readonly string[] {
    const host = hostname().toLowerCase();
    return [...new Set([...this.besides, ...addresses(), host, `${host}.local`])];
  }

  /** Where a device finds it, the likeliest first. */
  urls(): readonly string[] {
    return [...this.besides, ...addresses()].map((name) => `http://${name}:${this.port}`);
  }

  /** The code that holds now; a new one where the last was used, missed too often, or is old. */
  codeNow(now: number): { readonly code: string; readonly until: number } {
    if (now >= this.until || this.misses >= MOST_MISSES) {
      this.code = String(randomInt(0, 1_000_000)).padStart(6, '0');
      this.until = now + CODE_HOLDS_MS;
      this.misses = 0;
    }
    return { code: this.code, until: this.until };
  }

  /** Whether this is the code; it is then used up. */
  takes(typed: string, now: number): boolean {
    // What was never shown, or has run out, is none.
    if (this.code === '' || now >= this.until || this.misses >= MOST_MISSES) return false;
    const right = typed.length === this.code.length && timingSafeEqual(Buffer.from(typed), Buffer.from(this.code));
    if (right) this.until = 0;
    else this.misses += 1;
    return right;
  }
}

function addresses(): readonly string[] {
  return Object.values(networkInterfaces())
    .flatMap((each) => each ?? [])
    .filter(({ family, internal }) => family === 'IPv4' && !internal)
    .map(({ address }) => address);
}
