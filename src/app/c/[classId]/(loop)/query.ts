/** A whole number from an address; undefined where it is none or out of range, so that a default speaks. */
export function wholeFrom(text: string | undefined, least: number, most: number): number | undefined {
  if (text === undefined || !/^\d{1,4}$/.test(text)) return undefined
  const number = Number(text)
  return number >= least && number <= most ? number : undefined
}
