import { readFileSync } from 'node:fs'

const lines = readFileSync('docs/one-truth.md', 'utf8')
  .split('\n')
  .filter((line) => line.startsWith('- '))

test('every promise names tests that are there', () => {
  expect(lines.length).toBeGreaterThan(25)
  const missing = lines.flatMap((line) => {
    const files = line.split(/`(?=src|e2e|bin)/).slice(1)
    if (files.length === 0) return [line]
    return files.flatMap((part) => {
      const [file, names] = part.split('`')
      const tests = readFileSync(file, 'utf8')
      // A name of a test may itself hold one in quotes.
      return [...names.matchAll(/“(.*?)”(?=, |$)/g)]
        .map(([, name]) => name)
        .filter((name) => !new RegExp(`test.*[\\s\\S]{0,200}${escaped(name)}`).test(tests))
        .map((name) => `${file}: ${name}`)
    })
  })
  expect(missing).toEqual([])
})

const escaped = (text: string) => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')
