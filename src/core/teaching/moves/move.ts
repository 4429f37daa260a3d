/** Three minutes of teaching for one thing that goes astray. */
export interface TeachingMove {
  title: string
  need: string
  /** What to do, in order. */
  do: readonly string[]
  say: string
  /** How the adult knows that it has worked. */
  worked: string
}
