// PGlite in a worker thread, so that a slow query doesn't stop the server. Statements come as
// messages and are carried out one by one; their order is the sender's business (client.ts).
import { PGlite } from '@electric-sql/pglite'
import { parentPort, workerData } from 'node:worker_threads'

const database = await PGlite.create(workerData.folder)

// Dates and times stay text: the query builder reads them by the type of its columns.
const asText = (value) => value
const parsers = Object.fromEntries([1082, 1114, 1184, 1186].map((type) => [type, asText]))

parentPort.on('message', async ({ id, sql, params, rowMode, close }) => {
  try {
    if (close) {
      await database.close()
      process.exit(0)
    }
    const { rows, affectedRows, fields } = await database.query(sql, params, { rowMode, parsers })
    parentPort.postMessage({ id, result: { rows, affectedRows, fields } })
  } catch ({ message, code, detail }) {
    parentPort.postMessage({ id, error: { message, code, detail } })
  }
})

parentPort.postMessage('ready')
