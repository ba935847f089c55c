/** The distribution of the library that is used. It is a module of the older kind: all it has is its default. */
declare module "jstat" {
  const jstat: { readonly jStat: { readonly studentt: { readonly inv: (probability: number, degrees: number) => number } } };
  export default jstat;
}
