/** What is compared against; the package brings no types. */
declare module 'jstat' {
  const jstat: {
    corrcoeff(a: number[], b: number[]): number;
    normal: {
      pdf(x: number, mean: number, std: number): number;
      inv(p: number, mean: number, std: number): number;
      cdf(x: number, mean: number, std: number): number;
    };
    lognormal: { inv(p: number, mu: number, sigma: number): number };
    beta: { cdf(x: number, a: number, b: number): number };
    mean(x: number[]): number;
    stdev(x: number[], sample: boolean): number;
    binomial: { pdf(k: number, n: number, p: number): number };
    uniform: { pdf(x: number, a: number, b: number): number };
  };
  export default jstat;
}
