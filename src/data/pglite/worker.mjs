// Runs PGlite in a worker thread, so that a slow query doesn't stop the server, and offers it on a
// Unix socket in PostgreSQL's own protocol: the rest of Islands can't tell it from a server.
import { PGlite } from '@electric-sql/pglite'
import { PGLiteSocketServer } from '@electric-sql/pglite-socket'
import { parentPort, workerData } from 'node:worker_threads'

const database = await PGlite.create(workerData.folder)
const server = new PGLiteSocketServer({ db: database, path: workerData.socket, maxConnections: 20 })
await server.start()
parentPort.postMessage('ready')

parentPort.once('message', async () => {
  await server.stop()
  await database.close()
  process.exit(0)
})
