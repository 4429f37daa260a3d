import { createHash, randomBytes, randomInt } from 'node:crypto'

/** 192 bits of chance, in letters that go into an address or a cookie. */
export const newToken = (): string => randomBytes(24).toString('base64url')

/** What is kept of a token or a code: nobody who reads the database gets in by it. */
export const hashOfToken = (token: string): string => createHash('sha256').update(token).digest('hex')

/** Nothing that looks or sounds like another one. */
const letters = 'ABCDEFGHJKMNPQRSTVWXYZ23456789'
const codeLength = 8

/** A code to be typed from the board: eight letters and figures, 39 bits; good once, and few tries. */
export const newCode = (): string =>
  Array.from({ length: codeLength }, () => letters[randomInt(letters.length)]).join('')

/** A code as it was typed: small letters, blanks and dashes do no harm. */
export const codeAsTyped = (text: string): string => text.toUpperCase().replace(/[^A-Z0-9]/g, '')

/** “ABCD EFGH” */
export const codeInWords = (code: string): string => `${code.slice(0, 4)} ${code.slice(4)}`
