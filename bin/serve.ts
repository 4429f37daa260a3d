import { backupFolder } from '@/data/backup/files'
import { besideData } from '@/data/server-database'
import { serve } from '@/server/http/serve'

/** Serves Islands: `serve.ts PORT [--lan]`. */
const [port, ...flags] = process.argv.slice(2)

serve({
  port: Number(port),
  lan: flags.includes('--lan'),
  devicesFile: `${backupFolder(besideData())}/devices.json`,
  say: (line) => process.stderr.write(`islands: ${line}\n`),
}).catch((error: Error) => {
  process.stderr.write(`islands: ${error.message}\n`)
  process.exit(1)
})
