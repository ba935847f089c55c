/** The distributions of the library that are used. It is a module of the older kind: all it has is its default. */
declare module "jstat" {
  const jstat: {
    readonly jStat: {
      readonly studentt: {
        readonly inv: (probability: number, degrees: number) => number;
        readonly cdf: (value: number, degrees: number) => number;
      };
      readonly binomial: { readonly cdf: (successes: number, trials: number, chance: number) => number };
    };
  };
  export default jstat;
}
