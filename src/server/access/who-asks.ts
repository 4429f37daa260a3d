import { cookies, headers } from 'next/headers'
import { askedFromHere, addressHeader } from '../http/from-where'
import { linkedDevice, type LinkedDevice } from '../room/links'
import { isNobody, nobody, ownTeacher, type Viewer } from '../viewer'
import { knownForDays, ownComputerIsOpen, viewerOfDevice } from './sign-in'

const adultCookie = 'islands-adult'
const linkCookie = 'islands-link'
/** Whoever came in by a link reaches nothing but what lies under this. */
const linkPath = '/here'

/**
 * Who asks: the adult who signed in on the device; at the computer Islands runs on its teacher, without signing in;
 * else nobody. A link counts for nothing here.
 */
export async function currentViewer(): Promise<Viewer> {
  return (await viewerOnDevice())()
}

/** The same to be asked again and again, as long as an answer goes on: who signed out meanwhile is nobody. */
export async function viewerOnDevice(): Promise<() => Promise<Viewer>> {
  const token = (await cookies()).get(adultCookie)?.value
  const own = await isOwnComputer()
  return async () => {
    const signedIn = token === undefined ? nobody : await viewerOfDevice(token)
    if (!isNobody(signedIn)) return signedIn
    return own ? ownTeacher() : nobody
  }
}

/** The device whose link this is; null: it has none, or one that is over. */
export async function currentLink(): Promise<LinkedDevice | null> {
  return (await linkOfDevice())()
}

/** The same to be asked again and again, as long as an answer goes on. */
export async function linkOfDevice(): Promise<() => Promise<LinkedDevice | null>> {
  const token = (await cookies()).get(linkCookie)?.value
  return async () => (token === undefined ? null : linkedDevice(token))
}

const isOwnComputer = async () => ownComputerIsOpen() && askedFromHere(await headers())

/** Where a request comes from, to count wrong tries by. */
export const askedFrom = async (): Promise<string> => (await headers()).get(addressHeader) ?? 'unknown'

export const tokenOfDevice = async (): Promise<string | null> =>
  (await cookies()).get(adultCookie)?.value ?? null

const isSecure = async () => (await headers()).get('x-forwarded-proto') === 'https'

/** The device is this adult's from now on. */
export async function rememberAdult(token: string) {
  const rest = { httpOnly: true, sameSite: 'lax', secure: await isSecure() } as const
  ;(await cookies()).set(adultCookie, token, { ...rest, path: '/', maxAge: knownForDays * 86_400 })
}

export async function forgetAdult() {
  ;(await cookies()).delete(adultCookie)
}

/** The device is let in by a link. It ends with the session; the cookie with the day. */
export async function rememberLink(token: string) {
  const rest = { httpOnly: true, sameSite: 'strict', secure: await isSecure() } as const
  ;(await cookies()).set(linkCookie, token, { ...rest, path: linkPath, maxAge: 86_400 })
}

export async function forgetLink() {
  ;(await cookies()).delete({ name: linkCookie, path: linkPath })
}
