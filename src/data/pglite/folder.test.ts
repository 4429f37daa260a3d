import { spawn, type ChildProcess } from 'node:child_process'
import { once } from 'node:events'
import {
  cpSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  rmSync,
  symlinkSync,
  unlinkSync,
  utimesSync,
  writeFileSync,
} from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { FolderDamaged, FolderInUse, holdFolder, whyNotFree } from './folder'

const holder = `
  import { register } from 'tsx/esm/api'
  register()
  const { holdFolder } = await import('./src/data/pglite/folder.ts')
  holdFolder(process.argv[1])
  console.log('held')
  setInterval(() => {}, 1000)
`
const others: ChildProcess[] = []
afterEach(() => others.splice(0).forEach((other) => other.kill('SIGKILL')))

async function heldByAnother(folder: string): Promise<ChildProcess> {
  const other = spawn(process.execPath, ['--input-type=module', '-e', holder, folder], {
    stdio: ['ignore', 'pipe', 'inherit'],
  })
  others.push(other)
  await once(other.stdout!, 'data')
  return other
}

function folderWithDatabase(): string {
  const folder = join(mkdtempSync(join(tmpdir(), 'islands-folder-')), 'data')
  cpSync(process.env.ISLANDS_EMPTY_FOLDER!, folder, { recursive: true })
  return folder
}

test('a folder held by another process is refused however its path is spelled, and free at once after SIGKILL', async () => {
  const folder = folderWithDatabase()
  const link = `${folder}-link`
  symlinkSync(folder, link)
  const other = await heldByAnother(folder)
  for (const path of [folder, `${folder}/`, `${folder}/../data`, link]) {
    expect(() => holdFolder(path)).toThrow(FolderInUse)
    expect(() => holdFolder(path)).toThrow(`process ${other.pid} on `)
  }
  expect(whyNotFree(folder)).toBeInstanceOf(FolderInUse)
  other.kill('SIGKILL')
  await once(other, 'exit')
  expect(whyNotFree(folder)).toBeNull()
  holdFolder(folder).release()
  holdFolder(link).release()
})

test('deleting the lock file lets nobody in', async () => {
  const folder = folderWithDatabase()
  await heldByAnother(folder)
  unlinkSync(join(folder, 'islands.lock'))
  unlinkSync(join(folder, 'islands-in-use.json'))
  expect(() => holdFolder(folder)).toThrow(FolderInUse)
})

test('another computer that gave a sign of life is respected; a silent one is not waited for', () => {
  const folder = folderWithDatabase()
  const sign = (secondsAgo: number) =>
    writeFileSync(
      join(folder, 'islands-in-use.json'),
      JSON.stringify({
        host: 'another-computer',
        process: 7,
        at: new Date(Date.now() - secondsAgo * 1000).toISOString(),
      }),
    )
  sign(5)
  expect(() => holdFolder(folder)).toThrow('process 7 on another-computer')
  sign(120)
  holdFolder(folder).release()
})

test.each([
  ['no PG_VERSION', (folder: string) => rmSync(join(folder, 'PG_VERSION')), 'PG_VERSION is missing'],
  [
    'a zeroed control file',
    (folder: string) => writeFileSync(join(folder, 'global/pg_control'), Buffer.alloc(8192)),
    'pg_control is empty',
  ],
  ['no control file', (folder: string) => rmSync(join(folder, 'global/pg_control')), 'pg_control is missing'],
  [
    'no write-ahead log',
    (folder: string) => {
      for (const name of readdirSync(join(folder, 'pg_wal')))
        if (/^0/.test(name)) rmSync(join(folder, 'pg_wal', name))
    },
    'write-ahead log is missing',
  ],
  ['no tables', (folder: string) => rmSync(join(folder, 'base'), { recursive: true }), 'base is missing'],
])('%s: refused, and nothing in the folder changes', (_title, damage, words) => {
  const folder = folderWithDatabase()
  holdFolder(folder).release()
  damage(folder)
  const before = readdirSync(folder, { recursive: true }).sort()
  expect(() => holdFolder(folder)).toThrow(FolderDamaged)
  expect(() => holdFolder(folder)).toThrow(words)
  expect(readdirSync(folder, { recursive: true }).sort()).toEqual(before)
})

test('where no folder can be, that is said in words', () => {
  const file = join(mkdtempSync(join(tmpdir(), 'islands-folder-')), 'a-file')
  writeFileSync(file, '')
  for (const path of [file, join(file, 'data')]) {
    expect(() => holdFolder(path)).toThrow(FolderDamaged)
    expect(() => holdFolder(path)).toThrow('can’t be written to')
  }
})

test('a folder with other things in it is never filled; an empty one, or one that is not there, is new', () => {
  const folder = join(mkdtempSync(join(tmpdir(), 'islands-folder-')), 'mine')
  const held = holdFolder(folder)
  expect(held.isNew).toBe(true)
  held.release()
  mkdirSync(join(folder, 'photos'))
  utimesSync(folder, new Date(), new Date())
  expect(() => holdFolder(folder)).toThrow('not a database')
})
