/** What an address asks for: a name may stand there once, several times or not. */
export type Query = Record<string, string | string[] | undefined>

/** The one value of a name; undefined where it stands there twice, so that a default speaks. */
export const only = (value: string | string[] | undefined): string | undefined =>
  typeof value === 'string' ? value : undefined

/** A whole number from an address; undefined where it is none or out of range, so that a default speaks. */
export function wholeFrom(text: string | undefined, least: number, most: number): number | undefined {
  if (text === undefined || !/^\d{1,4}$/.test(text)) return undefined
  const number = Number(text)
  return number >= least && number <= most ? number : undefined
}
