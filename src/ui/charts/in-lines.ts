/** A title in one line, or in two broken at the space nearest to its middle where it has more than so many letters. */
export function inLines(text: string, most: number): string[] {
  const spaces = [...text.matchAll(/ /g)].map(({ index }) => index)
  if (text.length <= most || spaces.length === 0) return [text]
  const middle = (text.length - 1) / 2
  const at = spaces.reduce((best, one) => (Math.abs(one - middle) < Math.abs(best - middle) ? one : best))
  return [text.slice(0, at), text.slice(at + 1)]
}
