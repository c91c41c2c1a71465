declare module 'jstat' {
  /** The part of the package that is used. */
  const jStat: {
    readonly centralF: { readonly cdf: (f: number, a: number, b: number) => number }
    readonly normal: { readonly cdf: (x: number, mean: number, sd: number) => number }
  }
  export default jStat
}
