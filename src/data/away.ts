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
  /Connection terminated|timeout exceeded when trying to connect|Client (has encountered a connection error|was closed)/

interface Told {
  name?: unknown
  message?: unknown
  code?: unknown
}

/**
 * An error and what caused it, outermost first. Not told by its class: what Node makes in another realm, or what
 * came across a thread, is an `Error` of another kind.
 */
export function* causes(error: unknown): Generator<Told> {
  for (let at = error; typeof at === 'object' && at !== null; at = (at as { cause?: unknown }).cause)
    yield at as Told
}

/** True if the database is away, however it was wrapped up. */
export function isAway(error: unknown): boolean {
  for (const { name, message, code } of causes(error))
    if (name === 'DatabaseAway' || goneCodes.test(String(code)) || goneWords.test(String(message)))
      return true
  return false
}
