declare module 'ode45-cash-karp' {
  interface Integrator {
    readonly y: number[];
    readonly t: number;
    step(limit?: number): boolean;
  }
  function ode45(
    y0: number[],
    derivative: (dydt: number[], y: ArrayLike<number>, t: number) => void,
    t0: number,
    dt0: number,
  ): Integrator;
  export = ode45;
}
