import { mkdtempSync, rmSync, statSync, writeFileSync } from 'node:fs'
import { createServer, get } from 'node:https'
import type { AddressInfo } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { certificateFor } from './certificate'

let folder: string
beforeEach(() => {
  folder = join(mkdtempSync(join(tmpdir(), 'islands-tls-')), 'tls')
})
afterEach(() => {
  delete process.env.ISLANDS_CERT
  delete process.env.ISLANDS_KEY
  rmSync(folder, { recursive: true, force: true })
})

test('made once, used again, made anew for another address or when it is nearly over', async () => {
  const first = await certificateFor(folder, ['127.0.0.1', 'harbour.local'])
  expect(first.selfMade).toBe(true)
  expect(first.fingerprint).toMatch(/^([0-9A-F]{2}:){31}[0-9A-F]{2}$/)
  expect(statSync(join(folder, 'key.pem')).mode & 0o077).toBe(0)
  expect((await certificateFor(folder, ['127.0.0.1'])).fingerprint).toBe(first.fingerprint)
  const other = await certificateFor(folder, ['127.0.0.1', '10.1.2.3'])
  expect(other.fingerprint).not.toBe(first.fingerprint)
  const later = new Date(Date.now() + 395 * 86_400_000)
  expect((await certificateFor(folder, ['127.0.0.1'], later)).fingerprint).not.toBe(other.fingerprint)
  // Damaged, it is made anew rather than stopping the start.
  writeFileSync(join(folder, 'cert.pem'), 'nothing')
  expect((await certificateFor(folder, ['127.0.0.1'])).cert).toContain('BEGIN CERTIFICATE')
})

/** What Node's own TLS says of a server with this certificate: null, or why it isn't trusted. */
async function trusted(made: { key: string; cert: string }, ca: string | undefined): Promise<string | null> {
  const server = createServer({ key: made.key, cert: made.cert }, (_, response) => response.end('here'))
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve))
  const { port } = server.address() as AddressInfo
  try {
    return await new Promise((resolve) => {
      get({ host: '127.0.0.1', port, ca, agent: false }, (response) => {
        response.resume()
        resolve(null)
      }).on('error', (error: NodeJS.ErrnoException) => resolve(error.code ?? error.message))
    })
  } finally {
    server.close()
  }
}

test('TLS takes it for the addresses it was made for, once it is trusted, and for no other', async () => {
  const made = await certificateFor(folder, ['127.0.0.1'])
  expect(await trusted(made, made.cert)).toBeNull()
  expect(await trusted(made, undefined)).toMatch(/SELF_SIGNED/)
  const elsewhere = await certificateFor(`${folder}-other`, ['10.1.2.3'])
  expect(await trusted(elsewhere, elsewhere.cert)).toBe('ERR_TLS_CERT_ALTNAME_INVALID')
  rmSync(`${folder}-other`, { recursive: true })
})

test('one of one’s own is used as it is named, and refused in words where it can’t be', async () => {
  const made = await certificateFor(folder, ['127.0.0.1'])
  const other = await certificateFor(`${folder}-other`, ['127.0.0.1'])
  process.env.ISLANDS_CERT = join(folder, 'cert.pem')
  await expect(certificateFor('unused', [])).rejects.toThrow('belong together')
  process.env.ISLANDS_KEY = join(folder, 'key.pem')
  expect(await certificateFor('unused', ['10.9.9.9'])).toEqual({ ...made, selfMade: false })
  process.env.ISLANDS_KEY = join(`${folder}-other`, 'key.pem')
  await expect(certificateFor('unused', [])).rejects.toThrow('not that of the certificate')
  process.env.ISLANDS_CERT = join(folder, 'nowhere.pem')
  await expect(certificateFor('unused', [])).rejects.toThrow('can’t be read')
  process.env.ISLANDS_CERT = join(folder, 'key.pem')
  await expect(certificateFor('unused', [])).rejects.toThrow('no certificate')
  process.env.ISLANDS_CERT = join(folder, 'cert.pem')
  await expect(certificateFor('unused', [], new Date('2040-01-01'))).rejects.toThrow('ended on')
  expect(other.selfMade).toBe(true)
  rmSync(`${folder}-other`, { recursive: true })
})
