/** The database can't be reached just now. It is looked for again; what was asked was not done. */
export class DatabaseAway extends Error {
  /** Told apart by the page for faults, where messages of the server do not arrive. */
  readonly digest = 'database-away'

  constructor(cause?: unknown) {
    super('The database can’t be reached just now. Nothing was lost; try again in a moment.', { cause })
    this.name = 'DatabaseAway'
  }
}

/** What a server or a line says that is gone: PostgreSQL's classes 08, 57P and 53, and those of sockets. */
const goneCodes = /^(08...|57P..|53300|ECONNREFUSED|ECONNRESET|EPIPE|ETIMEDOUT|ENOTFOUND|EHOSTUNREACH)$/
const goneWords =
  /Connection terminated|timeout exceeded when trying to connect|Client has encountered a connection error/

/** True if the database is away, however it was wrapped up. */
export function isAway(error: unknown): boolean {
  for (let at = error; at instanceof Error; at = at.cause) {
    if (at.name === 'DatabaseAway') return true
    if ('code' in at && goneCodes.test(String(at.code))) return true
    if (goneWords.test(at.message)) return true
  }
  return false
}
