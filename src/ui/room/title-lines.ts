/** Widest letter run that stands in a line at full size before it is broken. */
const mostInLine = 10

/** A title in one line, or broken at the space nearest to its middle: so that it can be read from the back of the room. */
export function titleLines(title: string): string[] {
  const spaces = [...title].flatMap((letter, i) => (letter === ' ' ? [i] : []))
  if (title.length <= mostInLine || spaces.length === 0) return [title]
  const middle = (title.length - 1) / 2
  const at = spaces.reduce((best, space) =>
    Math.abs(space - middle) < Math.abs(best - middle) ? space : best,
  )
  return [title.slice(0, at), title.slice(at + 1)]
}
