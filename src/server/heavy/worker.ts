import { parentPort } from 'node:worker_threads'
import { jobs } from './jobs'
import { standBack } from './stand-back'

/**
 * The thread's end of `HeavyThread`: one job at a time, plain data in and out. A thread's first file is read before anything could
 * translate TypeScript: it is run as `bin/bundle.mjs` makes it.
 */
standBack()

interface Asked {
  name: keyof typeof jobs
  input: never
}

parentPort!.on('message', ({ name, input }: Asked) => {
  // What the thread took to start is not the job's.
  parentPort!.postMessage({ begun: true })
  try {
    parentPort!.postMessage({ result: (jobs[name] as (input: never) => unknown)(input) })
  } catch (error) {
    parentPort!.postMessage({ error: error instanceof Error ? error.message : String(error) })
  }
})
