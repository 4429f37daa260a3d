import { createPrivateKey, X509Certificate } from 'node:crypto'
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { generate } from 'selfsigned'

/** What a server shows to say who it is, PEM, and by what it is told from another one. */
export interface Certificate {
  key: string
  cert: string
  /** SHA-256, in pairs of hexadecimal digits: a browser shows the same. */
  fingerprint: string
  selfMade: boolean
}

/** A certificate of one's own that can't be used: said with what to do. */
class CertificateUnusable extends Error {}

const dayMs = 86_400_000
/** Longer is not taken by all browsers (CA/Browser Forum, Baseline Requirements 6.3.2: 398 days; from memory). */
const validDays = 397
/** One that ends sooner is made anew at the start. */
const leastDays = 7

/**
 * The certificate of one's own that is named (`ISLANDS_CERT`, `ISLANDS_KEY`: files in PEM); else a self-made one, kept in
 * a folder and used again as long as it is good for every address.
 * @param addresses IPv4 addresses and names under which the server is asked for
 * @throws CertificateUnusable where the named one is missing, no certificate, over, or not of that key
 */
export async function certificateFor(
  folder: string,
  addresses: readonly string[],
  today = new Date(),
): Promise<Certificate> {
  const { ISLANDS_CERT: certFile, ISLANDS_KEY: keyFile } = process.env
  if (certFile !== undefined || keyFile !== undefined) return named(certFile, keyFile, today)
  const kept = fromFolder(folder)
  if (kept && isGoodFor(kept.cert, addresses, today)) return kept
  return selfMade(folder, addresses, today)
}

function named(certFile: string | undefined, keyFile: string | undefined, today: Date): Certificate {
  if (!certFile || !keyFile)
    throw new CertificateUnusable('ISLANDS_CERT and ISLANDS_KEY belong together: name both files.')
  const read = (file: string) => {
    try {
      return readFileSync(file, 'utf8')
    } catch {
      throw new CertificateUnusable(`${file} can’t be read. Name a file in PEM.`)
    }
  }
  const [cert, key] = [read(certFile), read(keyFile)]
  const parsed = parsedCertificate(cert)
  if (!parsed) throw new CertificateUnusable(`${certFile} is no certificate in PEM.`)
  if (new Date(parsed.validTo) <= today)
    throw new CertificateUnusable(`The certificate in ${certFile} ended on ${parsed.validTo}.`)
  if (!belongs(parsed, key))
    throw new CertificateUnusable(`The key in ${keyFile} is not that of the certificate in ${certFile}.`)
  return { cert, key, fingerprint: parsed.fingerprint256, selfMade: false }
}

const filesIn = (folder: string) => ({ cert: join(folder, 'cert.pem'), key: join(folder, 'key.pem') })

/** The one that was made before; null where there is none, or it was damaged. */
function fromFolder(folder: string): Certificate | null {
  const files = filesIn(folder)
  if (!existsSync(files.cert) || !existsSync(files.key)) return null
  const [cert, key] = [readFileSync(files.cert, 'utf8'), readFileSync(files.key, 'utf8')]
  const parsed = parsedCertificate(cert)
  return parsed && belongs(parsed, key)
    ? { cert, key, fingerprint: parsed.fingerprint256, selfMade: true }
    : null
}

async function selfMade(folder: string, addresses: readonly string[], today: Date): Promise<Certificate> {
  const made = await generate([{ name: 'commonName', value: 'Islands' }], {
    keyType: 'ec',
    algorithm: 'sha256',
    notBeforeDate: new Date(today.getTime() - dayMs),
    notAfterDate: new Date(today.getTime() + validDays * dayMs),
    extensions: [
      {
        name: 'subjectAltName',
        altNames: addresses.map((address) =>
          isAddress(address) ? { type: 7 as const, ip: address } : { type: 2 as const, value: address },
        ),
      },
    ],
  })
  mkdirSync(folder, { recursive: true, mode: 0o700 })
  const files = filesIn(folder)
  // Whoever has the key can pretend to be this server: for the owner's eyes alone.
  writeFileSync(files.key, made.private, { mode: 0o600 })
  writeFileSync(files.cert, made.cert)
  return {
    cert: made.cert,
    key: made.private,
    fingerprint: new X509Certificate(made.cert).fingerprint256,
    selfMade: true,
  }
}

function isGoodFor(cert: string, addresses: readonly string[], today: Date): boolean {
  const parsed = parsedCertificate(cert)
  if (!parsed || new Date(parsed.validTo).getTime() < today.getTime() + leastDays * dayMs) return false
  return addresses.every(
    (address) => (isAddress(address) ? parsed.checkIP(address) : parsed.checkHost(address)) !== undefined,
  )
}

const isAddress = (text: string) => /^\d+(\.\d+){3}$/.test(text)

function parsedCertificate(pem: string): X509Certificate | null {
  try {
    return new X509Certificate(pem)
  } catch {
    return null
  }
}

function belongs(cert: X509Certificate, key: string): boolean {
  try {
    return cert.checkPrivateKey(createPrivateKey(key))
  } catch {
    return false
  }
}
