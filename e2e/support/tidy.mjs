import { rmSync } from 'node:fs'

/** Takes away what tests wrote: a folder of data is 40 MB, and a run copies a hundred of them. */
export default function tidy() {
  rmSync(process.env.TMPDIR, { recursive: true, force: true, maxRetries: 5, retryDelay: 200 })
}
