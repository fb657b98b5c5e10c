/** One line of the benchmark: what, how much, and what is aimed at. */
export function report(what: string, value: string, aim: string): void {
  console.log(`${what.padEnd(58)} ${value.padStart(12)}   aim ${aim}`);
}

export function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.floor(sorted.length / 2)] ?? Number.NaN;
}
