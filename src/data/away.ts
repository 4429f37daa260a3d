/** The database can't be reached just now. It is looked for again; what was asked was not done. */
export class DatabaseAway extends Error {
  /** Told apart by the page for faults, where messages of the server do not arrive. */
  readonly digest = 'database-away'

  constructor(cause?: unknown) {
    super('The database can’t be reached just now. Nothing was lost; try again in a moment.', { cause })
    this.name = 'DatabaseAway'
  }
}
