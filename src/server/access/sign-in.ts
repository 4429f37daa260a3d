import { z } from 'zod'
import {
  adultBySignIn,
  adultOf,
  adultOfDevice,
  forgetDevice,
  forgetDevices,
  forgetOutdated,
  hasAccounts,
  insertAdult,
  invitationOf,
  keepSignIn,
  setRole,
  updateAdult,
} from '@/data/queries/adults'
import { serverDatabase } from '@/data/server-database'
import { inTransaction } from '@/data/transaction'
import type { Database, Transaction } from '@/data/connection'
import type { ClassRole, Office } from '@/data/schema'
import { now } from '../clock'
import { asAdult, discreetly, NotHere, parsed, Refused } from '../use-case'
import { nobody, viewerOf, type Viewer } from '../viewer'
import { hashOfPassword, isPassword, passwordSchema } from './passwords'
import { hashOfToken, newToken } from './tokens'
import { Lane, LaneFull } from './lane'
import { tooManyTries, Tries, usualLimit } from './tries'

/** A device is known for so long after an adult signed in on it. */
export const knownForDays = 30

/** What an adult types to sign in: letters, figures, dots; large and small are the same. */
const signInNameSchema = z
  .string()
  .trim()
  .toLowerCase()
  .regex(/^[a-z0-9][a-z0-9._-]{2,39}$/, 'Three letters at least: a to z, figures, dots and dashes.')
const nameSchema = z.string().trim().min(1, 'Give a name.').max(60)

/** Above so many wrong passwords within an hour an account is tried slowly, whoever tries. */
const manyOfAnAccount = { tries: 40, ms: 3_600_000 }
/** An account that is tried slowly is tried once in so long. */
const slowlyMs = 2_000
/** More wait for nobody: with half a second each the last one is served within half a minute. */
const mostWaiting = 60

/** What stands between a stranger and the passwords. */
interface Door {
  address: Tries
  account: Tries
  /** A password is looked at for half a second of a core and 128 MB: one at a time leaves the rest to the class. */
  lane: Lane
  slowly: Map<string, Lane>
}
/** Kept on globalThis because routes are bundled apart. */
const shared = globalThis as { islandsDoor?: Door }
const door = () =>
  (shared.islandsDoor ??= {
    address: new Tries(usualLimit),
    account: new Tries(manyOfAnAccount),
    lane: new Lane(mostWaiting),
    slowly: new Map(),
  })

/** Looks at a password when it is its turn: whoever has not been wrong lately comes first. @param from its address */
async function passwordInTurn(from: string, name: string, password: string, kept: string | null) {
  const { address, account, lane, slowly } = door()
  const rank = address.recent(from)
  const look = () => lane.run(rank, () => isPassword(password, kept))
  if (account.waitMs(name) === 0) return look()
  const own = slowly.get(name) ?? new Lane(mostWaiting, slowlyMs)
  slowly.set(name, own)
  try {
    return await own.run(rank, look)
  } finally {
    for (const [other, one] of slowly) if (one.isIdle) slowly.delete(other)
  }
}

const signInSchema = z.object({ signInName: z.string().max(100), password: z.string().max(200) })

/**
 * Signs in: a token for the device, another one each time.
 * @throws {Refused} alike for a wrong name and a wrong password, and after too many tries from one address
 */
export const signIn = (from: string, raw: z.input<typeof signInSchema>): Promise<{ token: string }> =>
  discreetly(async () => {
    const { signInName, password } = parsed(signInSchema, raw)
    const name = signInName.trim().toLowerCase()
    const { address, account } = door()
    const waitMs = address.waitMs(from)
    if (waitMs > 0) throw new Refused(tooManyTries(waitMs))
    const [right, rightName] = [address.begin(from), account.begin(name)]
    const database = await serverDatabase()
    const adult = await adultBySignIn(database, name)
    const isRight = await passwordInTurn(from, name, password, adult?.password ?? null).catch(
      (error: unknown) => {
        if (!(error instanceof LaneFull)) throw error
        // It was not looked at, so it was not wrong.
        right()
        rightName()
        throw new Refused('A lot of people are signing in just now. Wait half a minute, then try again.')
      },
    )
    if (!isRight || !adult) throw new Refused('That name and password don’t go together.')
    right()
    rightName()
    await forgetOutdated(database, now())
    return { token: await letIn(database, adult.id) }
  })

async function letIn(db: Database | Transaction, adultId: string): Promise<string> {
  const token = newToken()
  const until = new Date(now().getTime() + knownForDays * 86_400_000)
  await keepSignIn(db, { tokenHash: hashOfToken(token), adultId, until })
  return token
}

/** This device is nobody's any more. */
export const signOut = (token: string): Promise<void> =>
  discreetly(async () => forgetDevice(await serverDatabase(), hashOfToken(token)))

/** Every device of the adult is nobody's any more, this one too. */
export const signOutEverywhere = asAdult('signOutEverywhere', z.object({}), (database, _input, { adultId }) =>
  forgetDevices(database, adultId),
)

/** Who signed in on the device with this token; nobody, where that is over. */
export const viewerOfDevice = (token: string): Promise<Viewer> =>
  discreetly(async () => {
    const adultId = await adultOfDevice(await serverDatabase(), hashOfToken(token), now())
    return adultId === null ? nobody : viewerOf(adultId)
  })

/** Can anybody sign in? Before somebody can, nothing is to be had from other devices. */
export const accountsThere = (): Promise<boolean> =>
  discreetly(async () => hasAccounts(await serverDatabase()))

export interface Account {
  id: string
  name: string
  signInName: string | null
  hasPassword: boolean
}

/** One's own account. */
export const accountPage = asAdult('accountPage', z.object({}), async (database, _input, { adultId }) => {
  const { id, name, signInName, password } = (await adultOf(database, adultId))!
  return { id, name, signInName, hasPassword: password !== null } satisfies Account
})

const accountSchema = z.object({
  name: nameSchema,
  signInName: signInNameSchema,
  /** The new password; null: stays as it is. */
  password: passwordSchema.nullable(),
  /** The one there is, where there is one and it is to be changed. */
  present: z.string().max(200).default(''),
})

/** Changes one's own account. Another password signs out every device. */
export const saveAccount = asAdult('saveAccount', accountSchema, async (database, input, { adultId }) => {
  const { name, signInName, password, present } = input
  const adult = (await adultOf(database, adultId))!
  if (adult.password === null && password === null) throw new Refused('Choose a password.')
  if (adult.password !== null && !(await isPassword(present, adult.password)))
    throw new Refused('The present password is another one. Nothing was changed.')
  const hash = password === null ? adult.password : await hashOfPassword(password)
  await inTransaction(database, async (transaction) => {
    await refuseTaken(transaction, signInName, adultId)
    await updateAdult(transaction, adultId, { name, signInName, password: hash })
    if (password !== null) await forgetDevices(transaction, adultId)
  })
})

async function refuseTaken(db: Transaction, signInName: string, adultId: string) {
  const taken = await adultBySignIn(db, signInName)
  if (taken && taken.id !== adultId) throw new Refused('Somebody else signs in with that name.')
}

export interface Invited {
  role: ClassRole | Office
  className: string | null
}

/** What an invitation is for; null: it was used, or is too old. */
export const invitedTo = (token: string): Promise<Invited | null> =>
  discreetly(async () => {
    const found = await invitationOf(await serverDatabase(), hashOfToken(token), now())
    return found && { role: found.role, className: found.className }
  })

const joinSchema = z.object({
  token: z.string().max(100),
  name: nameSchema,
  signInName: signInNameSchema,
  password: passwordSchema,
})

/** Somebody who was asked in makes an account, and is signed in. The invitation is used up. */
export const acceptInvitation = (raw: z.input<typeof joinSchema>): Promise<{ token: string }> =>
  discreetly(async () => {
    const { token, name, signInName, password } = parsed(joinSchema, raw)
    const database = await serverDatabase()
    // Asked before the costly part: a stranger without an invitation costs nothing.
    if (!(await invitationOf(database, hashOfToken(token), now()))) throw new NotHere()
    const hash = await hashOfPassword(password)
    return inTransaction(database, async (transaction) => {
      const found = await invitationOf(transaction, hashOfToken(token), now(), true)
      if (!found) throw new NotHere()
      const id = crypto.randomUUID()
      await refuseTaken(transaction, signInName, id)
      const { role, classId, schoolId } = found
      const office = role === 'admin' || role === 'coordinator' ? role : null
      await insertAdult(transaction, { id, name, schoolId, office, signInName, password: hash })
      if (classId !== null) await setRole(transaction, id, classId, role as ClassRole)
      return { token: await letIn(transaction, id) }
    })
  })

/** Somebody at the computer Islands runs on need not sign in, unless it is shared by a server. */
export const ownComputerIsOpen = () =>
  process.env.DATABASE_URL === undefined || process.env.ISLANDS_OPEN_HERE !== undefined
