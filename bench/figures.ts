/** Median and 95th percentile of a list of milliseconds. */
export function spread(list: number[]): { p50: number; p95: number } {
  const sorted = [...list].sort((a, b) => a - b);
  const at = (q: number) => sorted[Math.min(sorted.length - 1, Math.floor(q * sorted.length))] ?? 0;
  return { p50: at(0.5), p95: at(0.95) };
}

/** Runs some work several times after two warm-ups. */
export async function timed(runs: number, work: () => unknown): Promise<number[]> {
  const list: number[] = [];
  for (let i = -2; i < runs; i++) {
    const t = performance.now();
    await work();
    if (i >= 0) list.push(performance.now() - t);
  }
  return list;
}

/** A fixed piece of arithmetic: what this machine does in it is the yard by which the rest is read. */
export function yard(): number {
  const a = Float64Array.from({ length: 1000 }, (_, i) => i + 1);
  let sum = 0;
  for (let k = 0; k < 1000; k++) for (let i = 0; i < 1000; i++) sum += (a[i] as number) * 1.000001 - k;
  return sum;
}
