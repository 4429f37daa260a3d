/** The part of fmin that tests use. */
declare module 'fmin' {
  export function nelderMead(
    f: (x: number[]) => number,
    start: number[],
  ): {
    x: number[]
    fx: number
  }
}
