// Statements that come again are prepared once: reading and planning a text is most of what a short one costs.
import { parse, protocol } from '@electric-sql/pglite'

const { serialize } = protocol

/** So many are kept; what is built for lists of any length would else fill the memory. */
const mostKept = 300
const preparable = /^\s*(select|insert|update|delete|with)\b/i
/** Letters of a text; longer ones bring in many rows at once and hardly come again. */
const longestKept = 20_000
/** After these what was prepared before may not fit any more. */
const changing = /^\s*(create|alter|drop|discard|deallocate)\b/i

/**
 * Asks a database by prepared statements. A text is prepared when it comes for the second time; the one not asked for longest is
 * let go. One call at a time: who calls waits for the answer before.
 * @param {import('@electric-sql/pglite').PGlite} database
 */
export function preparing(database) {
  /** By text, the one asked last at the end: null until it comes again. */
  const kept = new Map()
  let made = 0

  const told = async (...messages) =>
    (await database.execProtocol(Buffer.concat([...messages, serialize.sync()]))).messages

  async function prepare(text) {
    const name = `kept${++made}`
    const messages = await told(serialize.parse({ name, text }), serialize.describe({ type: 'S', name }))
    return {
      name,
      types: parse.parseDescribeStatementResults(messages),
      head: messages.filter((message) => message.name === 'rowDescription'),
    }
  }

  async function letGo(statement) {
    if (statement) await told(serialize.close({ type: 'S', name: statement.name }))
  }

  /** @param {string} text @param {unknown[]} params @param {'object' | 'array' | undefined} rowMode */
  return async function ask(text, params = [], rowMode) {
    if (changing.test(text)) {
      for (const statement of kept.values()) await letGo(statement)
      kept.clear()
    }
    if (!preparable.test(text) || text.length > longestKept) return database.query(text, params, { rowMode })
    let statement = kept.get(text)
    const cameBefore = kept.delete(text)
    if (!statement && cameBefore) statement = await prepare(text)
    kept.set(text, statement ?? null)
    if (kept.size > mostKept) {
      const [oldest, prepared] = kept.entries().next().value
      kept.delete(oldest)
      await letGo(prepared)
    }
    if (!statement) return database.query(text, params, { rowMode })
    const values = params.map((value, i) =>
      value === null || value === undefined
        ? null
        : (database.serializers[statement.types[i]]?.(value) ?? String(value)),
    )
    const messages = await told(serialize.bind({ statement: statement.name, values }), serialize.execute({}))
    return parse.parseResults([...statement.head, ...messages], database.parsers, { rowMode })[0]
  }
}
