/** The package ships no types; what is used of it. */
declare module 'bessel' {
  const bessel: { readonly besselj: (x: number, order: number) => number };
  export = bessel;
}
