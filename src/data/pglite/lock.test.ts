import { spawn } from 'node:child_process'
import { once } from 'node:events'
import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { FolderInUse, lockFolder } from './lock'

const holder = `
  const { openSync, writeFileSync } = require('node:fs')
  const { tryLock } = require('fs-native-extensions')
  const descriptor = openSync(process.argv[1] + '.lock', 'a+')
  if (!tryLock(descriptor)) process.exit(1)
  writeFileSync(process.argv[1] + '.lock', String(process.pid))
  console.log('locked')
  setInterval(() => {}, 1000)
`

test('a folder held by another process is refused at once, and free at once after SIGKILL', async () => {
  const folder = join(mkdtempSync(join(tmpdir(), 'islands-lock-')), 'data')
  const other = spawn(process.execPath, ['-e', holder, folder])
  await once(other.stdout, 'data')
  expect(() => lockFolder(folder)).toThrow(FolderInUse)
  expect(() => lockFolder(folder)).toThrow(`process ${other.pid}`)
  other.kill('SIGKILL')
  await once(other, 'exit')
  const release = lockFolder(folder)
  release()
  lockFolder(folder)()
})
