declare module 'newton-raphson-method' {
  function newtonRaphson(
    f: (x: number) => number,
    start: number,
    options?: { readonly tolerance?: number; readonly maxIterations?: number },
  ): number | false;
  export { newtonRaphson as default };
}
