/** What tests use of jstat, which brings no types of its own. */
declare module 'jstat' {
  interface Distribution {
    cdf(x: number, ...parameters: number[]): number;
    inv(share: number, ...parameters: number[]): number;
  }
  const jstat: { readonly normal: Distribution; readonly triangular: Distribution; readonly uniform: Distribution };
  export default jstat;
}
