// PGlite in a worker thread, so that a slow query doesn't stop the server. Statements come as
// messages and are carried out one by one; their order is the sender's business (client.ts).
import { PGlite } from '@electric-sql/pglite'
import { parentPort, workerData } from 'node:worker_threads'
import { preparing } from './prepared.mjs'

// Dates and times stay text: the query builder reads them by the type of its columns. JSON does as well:
// text is handed over many times faster than what it holds, and read on the other side (client.ts).
const asText = (value) => value
// Arrays of numbers are most of what is read: the engine's own JSON reader is many times faster.
const asNumbers = (value) => JSON.parse(`[${value.slice(1, -1)}]`)
// Bytes come and go as hexadecimal text, which Node turns many times faster than the engine's own way.
const bytea = 17
const asBytes = (text) => Buffer.from(text.slice(2), 'hex')
const asHex = (bytes) => `\\x${Buffer.from(bytes.buffer, bytes.byteOffset, bytes.byteLength).toString('hex')}`
const parsers = {
  [bytea]: asBytes,
  ...Object.fromEntries([114, 3802, 1082, 1114, 1184, 1186].map((type) => [type, asText])),
  ...Object.fromEntries([1005, 1007, 1022].map((type) => [type, asNumbers])),
}

const database = await PGlite.create(workerData.folder)
// Once it is open: opening puts in readers of arrays of its own. With each query they would be merged anew.
Object.assign(database.parsers, parsers)
Object.assign(database.serializers, { [bytea]: asHex })

// What one connection is told, all hear: there is only this one.
for (const channel of workerData.channels)
  await database.listen(channel, (told) => parentPort.postMessage({ channel, told }))

const ask = preparing(database)

async function answer({ id, sql, params, rowMode, close }) {
  try {
    if (close) {
      await database.close()
      process.exit(0)
    }
    const { rows, affectedRows, fields } = await ask(sql, params, rowMode)
    parentPort.postMessage({ id, result: { rows, affectedRows, fields } })
  } catch (error) {
    const { message, code, constraint, table } = error
    parentPort.postMessage({ id, error: { message, code, constraint, table } })
    // WebAssembly that has aborted answers nothing any more: the thread ends, and a new one opens the folder.
    if (error instanceof WebAssembly.RuntimeError || /Aborted\(/.test(message)) process.exit(1)
  }
}

let last = Promise.resolve()
parentPort.on('message', (message) => {
  last = last.then(() => answer(message))
})

parentPort.postMessage('ready')
