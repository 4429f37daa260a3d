/** More pages than this are no pile for a class but a mistake in a count. */
export const mostPages = 400
/** Cards, squares or sheets of one thing or one job; more are not even laid out. */
export const mostPieces = 6000
/** Copies of one item. */
export const mostCopies = 500

/** The job is larger than it can be meant. */
export class TooMuch extends Error {
  /** @param pages null: more than was even laid out */
  constructor(pages: number | null) {
    super(
      pages === null
        ? 'That is more than anybody cuts out. Make the counts or the numbers smaller.'
        : `That would be ${pages} pages, and ${mostPages} are the most in one go. Make the counts smaller.`,
    )
    this.name = 'TooMuch'
  }
}
