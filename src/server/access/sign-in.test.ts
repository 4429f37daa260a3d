import { scryptSync } from 'node:crypto'
import { openTestSchool, newClass, rowsOf, viewer } from '../testing/school'
import { adultWho } from '../testing/parties'
import { listClasses } from '../classes'
import { nobody } from '../viewer'
import { inviteToClass, letAdultGo } from './adults'
import { hashOfPassword, isPassword } from './passwords'
import {
  acceptInvitation,
  accountPage,
  accountsThere,
  invitedTo,
  saveAccount,
  signIn,
  signOut,
  signOutEverywhere,
  viewerOfDevice,
} from './sign-in'
import { Lane } from './lane'
import { Tries } from './tries'

openTestSchool()

test('scrypt is the one of RFC 7914, § 12', () => {
  const key = scryptSync('pleaseletmein', 'SodiumChloride', 64, { N: 16384, r: 8, p: 1 })
  expect(key.toString('hex')).toBe(
    '7023bdcb3afd7348461c06cd81fd38ebfda8fbba904f8e3ea9b543f6545da1f2d5432955613f0fcf62d49705242a9af9e61e85dc0d651e40dfcf017b45575887',
  )
})

test('a password is kept with a salt of its own, and is told from every other one', async () => {
  const [one, other] = [await hashOfPassword('three small boats'), await hashOfPassword('three small boats')]
  expect(one).not.toBe(other)
  expect(one).not.toContain('boats')
  expect(await isPassword('three small boats', one)).toBe(true)
  expect(await isPassword('three small boat', one)).toBe(false)
  expect(await isPassword('three small boats', null)).toBe(false)
})

test('tries count from their beginning, for each sender alone, until they turn out right or time has passed', () => {
  let now = 0
  const tries = new Tries({ tries: 2, ms: 1000 }, () => now)
  const right = tries.begin('a')
  expect(tries.waitMs('a')).toBe(0)
  now = 400
  tries.begin('a')
  expect([tries.waitMs('a'), tries.waitMs('b')]).toEqual([600, 0])
  right()
  expect([tries.waitMs('a'), tries.recent('a')]).toEqual([0, 1])
  tries.begin('a')
  now = 1399
  expect(tries.waitMs('a')).toBe(1)
  now = 1400
  expect(tries.waitMs('a')).toBe(0)
})

test('in a lane one works at a time; who was wrong least comes first, and of too many the one who was wrong most is turned away', async () => {
  const lane = new Lane(3)
  const done: string[] = []
  let working = 0
  const work = (name: string) => async () => {
    expect(++working).toBe(1)
    await new Promise((resolve) => setTimeout(resolve, 2))
    working--
    done.push(name)
  }
  const ask = (name: string, rank: number) =>
    lane.run(rank, work(name)).catch((error: Error) => done.push(`${name} ${error.constructor.name}`))
  await Promise.all([ask('first', 9), ask('c', 4), ask('b', 2), ask('d', 5), ask('a', 0), ask('e', 7)])
  expect(done.filter((one) => !one.includes('LaneFull'))).toEqual(['first', 'a', 'b', 'c'])
  expect(done.filter((one) => one.includes('LaneFull')).sort()).toEqual(['d LaneFull', 'e LaneFull'])
  expect(lane.isIdle).toBe(true)
})

test('an account: signs in by name and password alone, everywhere out again; a wrong one is told like a wrong name', async () => {
  expect(await accountsThere()).toBe(false)
  const password = 'three small boats'
  await expect(saveAccount(viewer, { name: 'Morgan', signInName: 'morgan', password: null })).rejects.toThrow(
    'Choose a password',
  )
  await saveAccount(viewer, { name: 'Morgan', signInName: ' Morgan ', password })
  expect(await accountPage(viewer, {})).toMatchObject({
    name: 'Morgan',
    signInName: 'morgan',
    hasPassword: true,
  })
  const from = crypto.randomUUID()
  const wrong = signIn(from, { signInName: 'morgan', password: 'three small boots' })
  const unknown = signIn(from, { signInName: 'nobody', password })
  const messages = await Promise.all(
    [wrong, unknown].map((one) => one.catch((error: Error) => error.message)),
  )
  expect(messages[0]).toBe(messages[1])
  const [first, second] = [
    await signIn(from, { signInName: 'MORGAN', password }),
    await signIn(from, { signInName: 'morgan', password }),
  ]
  expect(first.token).not.toBe(second.token)
  expect(await viewerOfDevice(first.token)).toEqual(viewer)
  expect(await rowsOf(`signed_in where token_hash = '${first.token}'`)).toBe(0)
  await signOut(first.token)
  expect(await viewerOfDevice(first.token)).toEqual(nobody)
  expect(await viewerOfDevice(second.token)).toEqual(viewer)
  await signOutEverywhere(viewer, {})
  expect(await viewerOfDevice(second.token)).toEqual(nobody)
  await expect(
    saveAccount(viewer, { name: 'M', signInName: 'morgan', password: 'another long one', present: 'no' }),
  ).rejects.toThrow('another one')
})

test('asked into a class once; let go, the account keeps nothing, but a class is never left without a teacher', async () => {
  const classId = await newClass()
  const { token } = await inviteToClass(viewer, { classId, role: 'helper' })
  expect(await invitedTo(token)).toEqual({ role: 'helper', className: 'Tern' })
  await expect(
    acceptInvitation({ token, name: 'Kim', signInName: 'morgan', password: 'seven grey gulls' }),
  ).rejects.toThrow('Somebody else')
  const made = await acceptInvitation({ token, name: 'Kim', signInName: 'kim', password: 'seven grey gulls' })
  expect(await invitedTo(token)).toBeNull()
  const kim = await viewerOfDevice(made.token)
  expect(await listClasses(kim, undefined)).toMatchObject([{ id: classId, part: 'helper' }])
  await letAdultGo(viewer, { adultId: kim.adultId })
  expect(await viewerOfDevice(made.token)).toEqual(nobody)
  await expect(
    signIn(crypto.randomUUID(), { signInName: 'kim', password: 'seven grey gulls' }),
  ).rejects.toThrow()
  expect(await listClasses(kim, undefined)).toEqual([])
  const alone = await adultWho({ teaches: classId })
  await letAdultGo(viewer, { adultId: alone.adultId })
  await expect(letAdultGo(viewer, { adultId: viewer.adultId })).rejects.toThrow('yourself')
})

test('of two hundred wrong passwords at once from one address five are looked at; others still get in', async () => {
  const password = 'five green bottles'
  const name = 'morgan2'
  const made = await inviteToClass(viewer, { classId: await newClass(), role: 'helper' })
  await acceptInvitation({ token: made.token, name: 'Morgan', signInName: name, password })
  const attacker = crypto.randomUUID()
  const wrong = Array.from({ length: 200 }, (_, n) =>
    signIn(attacker, { signInName: name, password: `wrong ${n} wrong` }).catch(
      (error: Error) => error.message,
    ),
  )
  const right = signIn(crypto.randomUUID(), { signInName: name, password })
  expect(await right).toMatchObject({ token: expect.any(String) as string })
  const said = await Promise.all(wrong)
  expect(said.filter((one) => String(one).startsWith('That name and password'))).toHaveLength(5)
  expect(
    said.filter((one) => /^Too many wrong tries from this device. Wait \d+ seconds/.test(String(one))),
  ).toHaveLength(195)
})
