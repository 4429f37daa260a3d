import { randomBytes, scrypt, timingSafeEqual, type ScryptOptions } from 'node:crypto'
import { z } from 'zod'

/** Longer is better than odder: between the eight and the fifteen characters that NIST SP 800-63B-4 asks for beside another proof and alone (from memory). */
export const passwordSchema = z
  .string()
  .min(10, 'Ten characters at least: three words are easy to keep in mind.')
  .max(200, 'That is longer than is kept.')

/** Cost of one try: 128 MB and some tenths of a second (OWASP Password Storage Cheat Sheet, scrypt, from memory). */
const cost: ScryptOptions = { N: 2 ** 17, r: 8, p: 1, maxmem: 256 * 2 ** 20 }
const keyBytes = 32

const derive = (password: string, salt: Buffer, options: ScryptOptions) =>
  new Promise<Buffer>((resolve, reject) =>
    scrypt(password.normalize('NFKC'), salt, keyBytes, options, (error, key) =>
      error ? reject(error) : resolve(key),
    ),
  )

/** A password as it is kept: `scrypt$N$r$p$salt$key`, so that the cost can be raised later. Off the server's thread. */
export async function hashOfPassword(password: string): Promise<string> {
  const salt = randomBytes(16)
  const key = await derive(password, salt, cost)
  return ['scrypt', cost.N, cost.r, cost.p, salt.toString('base64url'), key.toString('base64url')].join('$')
}

/** True if it is the password; a null or odd hash takes as long and is none, so that names can't be told by the wait. */
export async function isPassword(password: string, kept: string | null): Promise<boolean> {
  const [kind, N, r, p, salt, key] = (kept ?? '').split('$')
  if (kind !== 'scrypt' || !key) {
    await derive(password, randomBytes(16), cost)
    return false
  }
  const options = { N: Number(N), r: Number(r), p: Number(p), maxmem: cost.maxmem }
  const made = await derive(password, Buffer.from(salt, 'base64url'), options)
  const wanted = Buffer.from(key, 'base64url')
  return made.length === wanted.length && timingSafeEqual(made, wanted)
}
