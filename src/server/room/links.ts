import { z } from 'zod'
import { copyLink, deleteLinks, insertLink, linkByToken, linksOf, takeCode } from '@/data/queries/links'
import { sessionOf } from '@/data/queries/sessions'
import { tellOf } from '@/data/queries/telling'
import { linkKinds, type LinkKind } from '@/data/schema'
import { serverDatabase } from '@/data/server-database'
import { inTransaction } from '@/data/transaction'
import { codeAsTyped, codeInWords, hashOfToken, newCode, newToken } from '../access/tokens'
import { tooManyTries, Tries, usualLimit } from '../access/tries'
import { classIdSchema } from '../classes'
import { now } from '../clock'
import { changingClass, discreetly, NotHere, parsed, Refused } from '../use-case'
import { viewerOf, type Viewer } from '../viewer'
import { linkMs } from './link-times'

const sessionSchema = classIdSchema.extend({ sessionId: z.uuid() })

const makeSchema = sessionSchema.extend({
  kind: z.enum(linkKinds),
  stationId: z.uuid().nullable().default(null),
  withNames: z.boolean().default(false),
})

/** More devices than this are not let into one session. */
const mostLinks = 120

/**
 * Makes a way in for devices without an account: a token for the code that is scanned, which lets in as many as scan
 * it, and a code to be typed, which lets in one. Neither is kept as it is, so each is shown once.
 */
export const makeLink = changingClass('makeLink', makeSchema, async (scope, input) => {
  const { sessionId, stationId, kind, withNames } = input
  const session = await sessionOf(scope, sessionId)
  if (!session) throw new NotHere()
  if (session.state === 'done') throw new Refused('The session has ended.')
  if (stationId !== null && !session.stations.some(({ id }) => id === stationId)) throw new NotHere()
  if (kind === 'station' && stationId === null) throw new Refused('Say at which station.')
  if ((await linksOf(scope, sessionId, now())).length >= mostLinks)
    throw new Refused('There are too many ways into this session. End them, and begin anew.')
  const [token, code] = [newToken(), newCode()]
  await insertLink(scope, {
    id: crypto.randomUUID(),
    sessionId,
    stationId,
    kind,
    withNames,
    tokenHash: hashOfToken(token),
    codeHash: hashOfToken(code),
    madeBy: scope.adultId,
    until: new Date(now().getTime() + linkMs),
  })
  return { token, code: codeInWords(code) }
})

/** Ends every way into a session; who came in is out at once. */
export const endLinks = changingClass('endLinks', sessionSchema, async (scope, { sessionId }) => {
  await deleteLinks(scope, sessionId)
  await tellOf(scope, [sessionId])
})

const shared = globalThis as { islandsCodeTries?: Tries }
const tries = () => (shared.islandsCodeTries ??= new Tries(usualLimit))

/**
 * Turns a scanned token or a typed code into a token of the device’s own. Codes are counted, since they are short enough to
 * be typed; a token of 192 bits can't be guessed.
 * @param from the address whose wrong codes are counted
 */
export const comeIn = (from: string, raw: { token: string } | { code: string }): Promise<{ token: string }> =>
  discreetly(async () => {
    const given = parsed(
      z.union([z.object({ token: z.string().max(100) }), z.object({ code: z.string().max(40) })]),
      raw,
    )
    const waitMs = 'code' in given ? tries().waitMs(from) : 0
    if (waitMs > 0) throw new Refused(tooManyTries(waitMs))
    const right = 'code' in given ? tries().begin(from) : () => undefined
    const token = newToken()
    const found = await inTransaction(await serverDatabase(), async (transaction) => {
      const row =
        'token' in given
          ? await linkByToken(transaction, hashOfToken(given.token), now())
          : await takeCode(transaction, hashOfToken(codeAsTyped(given.code)), now())
      if (!row) return false
      const made = await copyLink(transaction, row, hashOfToken(token), mostLinks)
      if (!made) throw new Refused('There are too many devices in this session.')
      return true
    })
    if (!found) throw new Refused('That code doesn’t work any more. Ask the teacher for a new one.')
    right()
    return { token }
  })

/** A device that came in by a link, with what it may see. */
export interface LinkedDevice {
  viewer: Viewer
  kind: LinkKind
  classId: string
  sessionId: string
}

/** Whose device it is that holds this token; null: its link is over. */
export const linkedDevice = (token: string): Promise<LinkedDevice | null> =>
  discreetly(async () => {
    const row = await linkByToken(await serverDatabase(), hashOfToken(token), now())
    return (
      row && {
        viewer: viewerOf(row.madeBy, row.id),
        kind: row.kind,
        classId: row.classId,
        sessionId: row.sessionId,
      }
    )
  })
