import { readFileSync, writeFileSync } from 'node:fs'
import { format, resolveConfig } from 'prettier'
import { documented } from './core/document-games'
import { gamesPage, levelsPage } from './core/document-levels'

/** Writes what the code knows of the games into docs: `npm run document`. */
async function write(file: string, text: string) {
  writeFileSync(file, await format(text, { ...(await resolveConfig(file)), parser: 'markdown' }))
}

writeFileSync('docs/core-cli.md', documented(readFileSync('docs/core-cli.md', 'utf8')))
await write('docs/levels.md', levelsPage())
await write('docs/games.md', gamesPage())
