import { spawnSync } from 'node:child_process'

/** Runs pieces of work in a process of its own: what each does is a line of JavaScript. */
function together(pieces: { title: string; does: string; after?: string[] }[]) {
  const given = pieces.map(({ does, ...piece }) => ({
    ...piece,
    program: process.execPath,
    args: ['-e', does],
  }))
  const script = `import { together } from './bin/together.mjs'; await together(${JSON.stringify(given)}); process.stderr.write('all done')`
  const { status, stderr } = spawnSync(process.execPath, ['--input-type=module', '-e', script], {
    encoding: 'utf8',
  })
  return { status, told: stderr }
}

const waits = (ms: number) => `setTimeout(() => {}, ${ms})`

test('pieces are told as they begin and end; what they write is kept to themselves', () => {
  const { status, told } = together([
    { title: 'one', does: 'console.log("a word of one")' },
    { title: 'other', does: 'console.error("a word of other")' },
  ])
  expect(status).toBe(0)
  for (const title of ['one', 'other'])
    expect(told).toMatch(new RegExp(`islands: ${title} …[^]*islands: ${title}: done after \\d+ s`))
  expect(told).not.toContain('a word of')
  expect(told).toContain('all done')
})

test('a piece waits for those it comes after, while others go on', () => {
  const { status, told } = together([
    { title: 'slow', does: waits(400) },
    { title: 'later', does: '', after: ['slow'] },
    { title: 'free', does: '' },
  ])
  expect(status).toBe(0)
  const at = (words: string) => told.indexOf(words)
  expect(at('slow: done')).toBeGreaterThan(-1)
  expect(at('later …')).toBeGreaterThan(at('slow: done'))
})

test('one that fails is shown with what it wrote, ends the others, and nothing after it is begun', () => {
  const { status, told } = together([
    { title: 'bad', does: 'console.log("what went wrong"); process.exitCode = 3' },
    { title: 'long', does: waits(20_000) },
    { title: 'never', does: '', after: ['bad'] },
  ])
  expect(status).toBe(3)
  expect(told).toContain('what went wrong')
  expect(told).toContain('bad: failed')
  expect(told).not.toContain('never …')
  expect(told).not.toContain('all done')
})

test('a piece after one that is not there is a mistake, not a wait for ever', () => {
  const { status, told } = together([{ title: 'alone', does: '', after: ['nobody'] }])
  expect(status).not.toBe(0)
  expect(told).toContain('nobody')
})
