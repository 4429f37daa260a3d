import { existsSync, readdirSync } from 'node:fs'
import { basename, dirname, join, resolve } from 'node:path'

const bare = (dataFolder: string) => resolve(dataFolder).replace(/\/+$/, '')

/** Where `npm run restore` puts a damaged data folder. */
export const asideFor = (dataFolder: string, at = new Date()): string =>
  `${bare(dataFolder)}-damaged-${at.toISOString().replace(/[:.]/g, '-')}`

/** The damaged data folders that lie beside a data folder. */
export function foldersPutAside(dataFolder: string): string[] {
  const [beside, name] = [dirname(bare(dataFolder)), basename(bare(dataFolder))]
  if (!existsSync(beside)) return []
  return readdirSync(beside)
    .filter((entry) => entry.startsWith(`${name}-damaged-`))
    .map((entry) => join(beside, entry))
}
