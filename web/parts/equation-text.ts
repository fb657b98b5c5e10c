const SUB = '₀₁₂₃₄₅₆₇₈₉';
const SUPER = '⁰¹²³⁴⁵⁶⁷⁸⁹';

/** An equation as chemists set it: MnO₄⁻ for MnO4-, Mn²⁺ for Mn^2+, an arrow for ->. */
export function equationText(text: string): string {
  return text
    .replaceAll('->', '→')
    .replace(/(?<=[A-Za-z)])\d+/g, (digits) => raised(digits, SUB))
    .replace(/\^(\d*)([+-])/g, (_, digits: string, sign: string) => raised(digits, SUPER) + signOf(sign))
    .replace(/(?<=[A-Za-z)₀-₉])[+-](?=[\s;,.]|$)/g, signOf)
    .replace(/\.(?=\d*H₂O)/g, '·');
}

function raised(digits: string, as: string): string {
  return [...digits].map((each) => as[Number(each)] ?? '').join('');
}

function signOf(sign: string): string {
  return sign === '+' ? '⁺' : '⁻';
}
