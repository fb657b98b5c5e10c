import { fail, ok, type Result } from '#base/problem';

const SPACES = /[\s\u00a0\u2009\u202f']/g;

/**
 * A number as people write it: 9.5 or 9,5; 1 500, 1.500,5 or 1,500.5; 1.5e3; leading + or -, also the true minus sign.
 * A lone comma before exactly three digits (1,500) can mean two things and is refused with both readings,
 * unless it starts with 0 (0,125), which only a decimal does.
 */
export function parseNumber(text: string): Result<number> {
  const typed = text.trim();
  if (typed === '') return fail('missing-part', 'Nothing is written here; a number is needed, such as 2.5.');
  const bare = typed.replace(SPACES, '').replace(/\u2212/g, '-');
  const shape = /^([+-]?)(\d[\d.,]*|[.,]\d+)(?:e([+-]?\d{1,3}))?$/i.exec(bare);
  if (!shape) return fail('not-a-number', `“${shorten(typed)}” is not a number; write it like 2.5 or 2,5.`);
  const [, sign = '', digits = '', exponent] = shape;
  const plain = plainDigits(digits);
  if (plain === 'ambiguous') {
    const without = digits.replace(',', '');
    const point = digits.replace(',', '.');
    return fail('ambiguous-number', `“${typed}” can mean ${without} or ${point}; write one of these.`);
  }
  if (plain === undefined)
    return fail('not-a-number', `“${shorten(typed)}” is not a number; write it like 2.5 or 2,5.`);
  const value = Number(`${sign}${plain}${exponent ? `e${exponent}` : ''}`);
  if (!Number.isFinite(value))
    return fail('out-of-range', `“${shorten(typed)}” is larger than any amount here can be.`);
  return ok(value);
}

function plainDigits(digits: string): string | 'ambiguous' | undefined {
  const commas = digits.split(',').length - 1;
  const points = digits.split('.').length - 1;
  if (commas === 0 && points <= 1) return digits;
  if (commas === 1 && points === 0) {
    const ambiguous = /^[1-9]\d{0,2},\d{3}$/.test(digits);
    return ambiguous ? 'ambiguous' : digits.replace(',', '.');
  }
  if (/^\d{1,3}(,\d{3})+(\.\d*)?$/.test(digits)) return digits.replace(/,/g, '');
  if (/^\d{1,3}(\.\d{3})+(,\d*)?$/.test(digits)) return digits.replace(/\./g, '').replace(',', '.');
  return undefined;
}

function shorten(text: string): string {
  return text.length > 40 ? `${text.slice(0, 40)}…` : text;
}
