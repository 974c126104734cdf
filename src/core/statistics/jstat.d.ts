/** The distributions used of jstat, which brings no types. */
declare module "jstat" {
  interface Continuous1 {
    inv(probability: number, a: number): number;
    cdf(x: number, a: number): number;
  }
  interface Continuous2 {
    inv(probability: number, a: number, b: number): number;
    cdf(x: number, a: number, b: number): number;
  }
  const jstat: {
    readonly jStat: {
      lowRegGamma(shape: number, x: number): number;
      ibeta(x: number, a: number, b: number): number;
      readonly studentt: Continuous1;
      readonly chisquare: Continuous1;
      readonly normal: Continuous2;
      readonly centralF: Continuous2;
      readonly beta: Continuous2;
      readonly lognormal: Continuous2;
      readonly weibull: Continuous2;
    };
  };
  export default jstat;
}
