import { readFileSync, writeFileSync } from 'node:fs'
import { documented } from './core/document-games'

/** Writes the parameters of every game into docs/core-cli.md: `npm run document`. */
const file = 'docs/core-cli.md'
writeFileSync(file, documented(readFileSync(file, 'utf8')))
