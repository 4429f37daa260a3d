import { readFileSync } from 'node:fs'
import { documented } from './document-games'

test('docs/core-cli.md holds the parameters of every game as their schemas stand (else: npm run document)', () => {
  const page = readFileSync('docs/core-cli.md', 'utf8')
  expect(documented(page)).toBe(page)
  expect(page).toContain('### harbour-guard')
})
