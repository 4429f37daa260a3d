// The thread's end of `HeavyThread`: one job at a time, plain data in and out. Plain JavaScript, because a
// thread's first file is read before anything can translate TypeScript.
import { parentPort } from 'node:worker_threads'
import { register } from 'tsx/esm/api'
import { standBack } from './stand-back.mjs'

standBack()
register()
const { jobs } = await import('./jobs.ts')

parentPort.on('message', ({ name, input }) => {
  // What the thread took to start is not the job's.
  parentPort.postMessage({ begun: true })
  try {
    parentPort.postMessage({ result: jobs[name](input) })
  } catch (error) {
    parentPort.postMessage({ error: error instanceof Error ? error.message : String(error) })
  }
})
