import { serve } from '@/server/http/serve'
import { tellBlocks } from './blocks'

/** Serves Islands: `serve.ts PORT [--lan [--tls]] [--cold]`. */
const [port, ...flags] = process.argv.slice(2)

if (process.env.ISLANDS_TRIAL) tellBlocks()

serve({
  port: Number(port),
  lan: flags.includes('--lan'),
  tls: flags.includes('--tls') ? { folder: `${process.env.ISLANDS_FOLDER ?? '.islands/server'}-tls` } : null,
  cold: flags.includes('--cold'),
  warmed: () => {
    if (process.env.ISLANDS_TRIAL) process.stderr.write('every page is warm\n')
  },
  say: (line) => process.stderr.write(`islands: ${line}\n`),
}).catch((error: Error) => {
  process.stderr.write(`islands: ${error.message}\n`)
  process.exit(1)
})
