/** The two distributions of the library that are used. */
declare module "jstat" {
  export const jStat: {
    readonly studentt: { readonly inv: (probability: number, degrees: number) => number };
  };
}
