import { spawn } from 'node:child_process'
import { once } from 'node:events'

const everyMs = 5

/** A process with nothing to do that says on each line it hears for how long it was held up since the last one. */
const code = `
const { monitorEventLoopDelay } = require('node:perf_hooks')
const delay = monitorEventLoopDelay({ resolution: ${everyMs} })
delay.enable()
process.stdin.on('data', () => { console.log((delay.max / 1e6 - ${everyMs}).toFixed(1)); delay.reset() })
`

/** For how long this machine holds up a process that does nothing: no server on it can be held up less. */
export function stillProcess() {
  const child = spawn(process.execPath, ['-e', code], { stdio: ['pipe', 'pipe', 'inherit'] })
  return {
    async longestMs(): Promise<number> {
      child.stdin.write('?\n')
      const [said] = (await once(child.stdout, 'data')) as [Buffer]
      return Number(said.toString())
    },
    async end() {
      child.kill()
      await once(child, 'exit')
    },
  }
}
