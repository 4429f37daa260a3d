import { spawn } from 'node:child_process'
import { once } from 'node:events'
import { cpSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { get } from 'node:https'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type { TLSSocket } from 'node:tls'
import { backUpNow } from '../src/server/keeping/backups'
import { childPage } from '../src/server/progress'
import { runPage } from '../src/server/run'
import { lanAddresses } from '../src/server/http/serve'
import { ownTeacher } from '../src/server/viewer'
import { Person, places } from './support/browser'
import { runningSession, withFolder } from './support/school'
import { freshFolder, startServer, type TestServer } from './support/server'

const viewer = ownTeacher()
let server: TestServer
/** A session that runs, made once; every test has its folder for itself. */
let made: Awaited<ReturnType<typeof runningSession>>
const original = freshFolder()
beforeAll(async () => {
  made = await runningSession(original)
})
function running() {
  const folder = join(mkdtempSync(join(tmpdir(), 'islands-e2e-')), 'data')
  cpSync(original, folder, { recursive: true })
  return { folder, ...made }
}
const people: Person[] = []
const personAt = async (url: string, size?: { width: number; height: number }) => {
  const person = await Person.at(url, size)
  people.push(person)
  return person
}
afterEach(async () => {
  for (const person of people.splice(0)) await person.leave()
  await server?.stop()
})

const saved = (person: Person) =>
  person.waitFor(async () => (await person.text('.saved')) === 'All marks saved', 'all marks saved')

test('two devices on one child: both marks stay, each corrects its own, nothing is lost or refused', async () => {
  const { folder, classId, visits } = running()
  const child = visits[0].children[0]
  server = await startServer(folder)
  const [laptop, tablet] = [
    await personAt(server.url),
    await personAt(server.url, { width: 820, height: 1180 }),
  ]
  for (const device of [laptop, tablet]) {
    await device.goTo(`/c/${classId}/run`)
    await device.button('Pause')
  }
  await laptop.press(`${child.name} on their own`)
  await tablet.press(`${child.name} with help`)
  // Both correct what they saw, at once and more than once.
  await laptop.press(`${child.name} not yet`)
  await tablet.press(`${child.name} on their own`)
  await laptop.press(`${child.name} with help`)
  await saved(laptop)
  await saved(tablet)
  // After a reload each device shows its own mark, and says what the other saw.
  await laptop.goTo(`/c/${classId}/run`)
  expect(await (await laptop.button(`${child.name} with help`)).getAttribute('aria-pressed')).toBe('true')
  expect(await laptop.text('.station .child')).toContain('also: on their own')
  // Taken back on one device, the other's stays.
  await laptop.press(`${child.name} with help`)
  await saved(laptop)
  await server.stop()
  await withFolder(folder, async () => {
    const marks = (await runPage(viewer, { classId }))!.marks.filter(({ pupilId }) => pupilId === child.id)
    expect(marks.map(({ judged }) => judged)).toEqual(['own'])
    const { records } = await childPage(viewer, { classId, pupilId: child.id })
    expect(records.map(({ judged }) => judged)).toEqual(['own'])
  })
})

test('marks made while the server is away are told as such, survive a reload of the device and arrive once', async () => {
  const { folder, classId, visits } = running()
  const [one, other] = visits[0].children
  server = await startServer(folder)
  const { port } = new URL(server.url)
  const person = await personAt(server.url)
  await person.goTo(`/c/${classId}/run`)
  await person.button('Pause')
  await server.stop()
  await person.press(`${one.name} on their own`)
  await person.press(`${other.name} not yet`)
  await person.waitFor(
    async () => (await person.text('.saved')) === '2 marks on this device only',
    'the marks to be told as on this device only',
  )
  server = await startServer(folder, {}, [], Number(port))
  await person.goTo(`/c/${classId}/run`)
  await saved(person)
  await server.stop()
  await withFolder(folder, async () => {
    const marks = (await runPage(viewer, { classId }))!.marks
    expect(marks.map(({ pupilId, judged }) => [pupilId, judged]).sort()).toEqual(
      [
        [one.id, 'own'],
        [other.id, 'notYet'],
      ].sort(),
    )
  })
})

test('--lan: nothing is open before there is an account; with one a tablet signs in over plain http, and out again', async () => {
  const { folder, classId, visits } = running()
  const child = visits[0].children[0]
  server = await startServer(folder, { ISLANDS_BACKUPS: `${folder}-copies` }, ['--lan'])
  const [address] = lanAddresses()
  const { port } = new URL(server.url)
  expect(server.output()).toContain(`http://${address}:${port}`)
  expect(server.output()).toContain('make an account first')
  const outside = `http://${address}:${port}`
  const tablet = await personAt(outside)
  await tablet.goTo(`/c/${classId}/run`)
  await tablet.sees(/Not open to other devices yet/)
  expect(await tablet.driver.getPageSource()).not.toContain(child.name)
  const mark = { method: 'POST', headers: { 'content-type': 'application/json' }, body: '{}' }
  expect((await fetch(`${outside}/c/${classId}/marks`, mark)).status).toBe(422)
  expect(await (await fetch(`${outside}/c/${classId}/export`)).text()).not.toContain(child.name)

  // At the computer itself nobody signs in.
  const laptop = await personAt(server.url)
  await laptop.goTo('/account')
  await laptop.sees(/Make your account/)
  expect(await laptop.axe()).toEqual([])
  await laptop.enter('Name, as others see it', 'Morgan')
  await laptop.enter('Sign-in name', 'morgan')
  await laptop.enter('Password', 'short')
  await laptop.press('Save')
  await laptop.waitFor(async () => (await laptop.text('.problem')).includes('Ten characters'), 'a refusal')
  await laptop.enter('Password', 'three small boats')
  await laptop.press('Save')
  await laptop.find('//*[starts-with(normalize-space(.), "Saved.")]')

  await tablet.goTo(`/c/${classId}/run`)
  await tablet.sees(/Sign in/)
  expect(await tablet.axe()).toEqual([])
  await tablet.enter('Sign-in name', 'Morgan')
  await tablet.enter('Password', 'three small boots')
  await tablet.press('Sign in')
  await tablet.waitFor(async () => (await tablet.text('.problem')).includes('don’t go together'), 'a refusal')
  await tablet.enter('Password', 'three small boats')
  await tablet.press('Sign in')
  await tablet.waitFor(async () => (await tablet.driver.getCurrentUrl()).includes(classId), 'the class')
  await tablet.goTo(`/c/${classId}/run`)
  expect(await tablet.driver.executeScript('return typeof crypto.randomUUID')).toBe('undefined')
  await tablet.press(`${child.name} on their own`)
  await saved(tablet)
  // Another password signs the tablet out; what it holds waits.
  await laptop.goTo('/account')
  await laptop.enter('New password, if it is to change', 'four small boats')
  await laptop.enter('Present password', 'three small boats')
  await laptop.press('Save')
  await laptop.find('//*[starts-with(normalize-space(.), "Saved.")]')
  await tablet.goTo(`/c/${classId}/run`)
  await tablet.sees(/Sign in/)
  await server.stop()
  const bytes = server.output()
  for (const secret of ['three small boats', 'four small boats', child.name])
    expect(bytes).not.toContain(secret)
})

/** What a server that speaks TLS answers, and the fingerprint of the certificate it shows. */
const askedByTls = (url: string) =>
  new Promise<{ status: number; text: string; fingerprint: string }>((resolve, reject) => {
    get(url, { rejectUnauthorized: false, agent: false }, (response) => {
      const { fingerprint256 } = (response.socket as TLSSocket).getPeerCertificate()
      let text = ''
      response.on('data', (chunk: Buffer) => (text += chunk.toString()))
      response.on('end', () => resolve({ status: response.statusCode!, text, fingerprint: fingerprint256 }))
    }).on('error', reject)
  })

test('--lan --tls: other devices come in by an encrypted line alone, and can tell the server by its fingerprint', async () => {
  const { folder, classId, visits } = running()
  const child = visits[0].children[0]
  server = await startServer(folder, {}, ['--lan', '--tls'])
  const [address] = lanAddresses()
  const { port } = new URL(server.url)
  expect(server.output()).toContain(`https://${address}:${port}`)
  const [, said] = /SHA-256 fingerprint ([0-9A-F:]+)/.exec(server.output())!
  const outside = await askedByTls(`https://${address}:${port}/c/${classId}/run`)
  expect(outside.fingerprint).toBe(said)
  expect(outside.text).not.toContain(child.name)
  // The same door without TLS is shut; at the computer itself nothing changes.
  await expect(fetch(`http://${address}:${port}/`)).rejects.toThrow()
  const here = await fetch(`${server.url}/c/${classId}/run`)
  expect(await here.text()).toContain(child.name)
  await server.stop()
  // Started again it is the same server to whoever trusted it.
  server = await startServer(folder, {}, ['--lan', '--tls'])
  expect(server.output()).toContain(said)
})

test('asked in: a coordinator reads a class and changes nothing; let go, it keeps nothing', async () => {
  const { folder, classId } = running()
  server = await startServer(folder)
  const teacher = await personAt(server.url)
  await teacher.goTo('/adults')
  await teacher.sees(/only adult/)
  expect(await teacher.axe()).toEqual([])
  await teacher.press('Ask in a coordinator')
  const link = await (await teacher.find('//*[@class="invitation"]')).getText()
  const other = await personAt(server.url)
  await other.driver.get(link)
  await other.find('//*[contains(., "Coordinator, who reads")]')
  expect(await other.axe()).toEqual([])
  await other.enter('Name, as others see it', 'Robin')
  await other.enter('Sign-in name', 'robin')
  await other.enter('Password', 'seven grey gulls')
  await other.press('Make the account')
  await other.waitFor(async () => (await other.driver.getCurrentUrl()).includes(classId), 'the class')
  await other.find('//*[contains(., "only its teachers change anything")]')
  await other.goTo(`/c/${classId}/class`)
  await other.sees(/6 children/)
  const pressable = () =>
    other.driver.executeScript<number>(
      () => document.querySelectorAll('main :is(button, input, select):not(:disabled)').length,
    )
  for (const place of ['class', 'groups', 'plan', 'progress']) {
    await other.goTo(`/c/${classId}/${place}`)
    await other.heading()
    expect([place, await pressable()]).toEqual([place, 0])
  }
  await other.goTo(`/c/${classId}/run`)
  await other.waitFor(async () => /not here|nothing here/i.test(await other.text('main')), 'no run board')
  // Used once, the invitation is good no longer.
  await teacher.driver.get(link)
  await teacher.sees(/not good/)
  await teacher.goTo('/adults')
  await teacher.press('Robin leaves')
  await teacher.sees(/only adult/)
  await other.goTo(`/c/${classId}/class`)
  // At this computer whoever is nobody else is its teacher: the account is gone, and the class is that of the computer.
  await other.waitFor(
    async () => !(await other.driver.getPageSource()).includes('only its teachers'),
    'the end of it',
  )
})

test('every place keeps to its own security policy, and answers what is not there with 404', async () => {
  const { folder, classId, visits } = running()
  server = await startServer(folder)
  const person = await personAt(server.url)
  for (const place of [...places, `/children/${visits[0].children[0].id}`]) {
    await person.goTo(`/c/${classId}${place}`)
    await person.heading()
    expect([place, await person.complaints()]).toEqual([place, []])
  }
  const status = async (path: string, init?: RequestInit) => (await fetch(server.url + path, init)).status
  for (const path of [
    '/nowhere',
    '/c/abc/run',
    '/c/abc',
    `/c/${classId}/children/x`,
    `/c/${crypto.randomUUID()}/plan`,
    `/c/${classId}/games/nothing`,
    `/c/${classId}/show/nothing`,
    `/c/${classId}/try/landfall?level=none`,
    '/pictures/landfall/none',
  ])
    expect([path, await status(path)]).toEqual([path, 404])
  for (const path of [
    `/c/${classId}/games?slot=5&slot=7&group=a`,
    `/c/${classId}/class?strands=x&strands=y`,
    `/c/${classId}/plan?add=a&add=b`,
  ])
    expect([path, await status(path)]).toEqual([path, 200])
  const odd = { method: 'POST', headers: { 'content-type': 'application/json' } }
  for (const [body, expected] of [
    ['{', 400],
    ['[]', 400],
    ['null', 400],
    ['{}', 422],
    ['{"id":"\\u0000"}', 422],
    ['x'.repeat(5000), 413],
  ] as const)
    expect([body.slice(0, 20), await status(`/c/${classId}/marks`, { ...odd, body })]).toEqual([
      body.slice(0, 20),
      expected,
    ])
})

test('a damaged folder is refused with what to do; a backup brings everything back', async () => {
  const { folder, classId } = running()
  process.env.ISLANDS_BACKUPS = `${folder}-copies`
  const { name } = await withFolder(folder, () => backUpNow(viewer, {}))
  writeFileSync(join(folder, 'global/pg_control'), Buffer.alloc(8192))
  await expect(startServer(folder, { ISLANDS_BACKUPS: `${folder}-copies` })).rejects.toThrow(
    /pg_control is empty.*changed nothing.*npm run restore.*The newest is/s,
  )
  const restore = spawn(process.execPath, ['bin/run.mjs', 'restore', join(`${folder}-copies`, name)], {
    env: { ...process.env, ISLANDS_FOLDER: folder },
    stdio: ['ignore', 'ignore', 'pipe'],
  })
  let said = ''
  restore.stderr.on('data', (chunk) => (said += chunk))
  const [code] = await once(restore, 'exit')
  expect({ code, said }).toMatchObject({ code: 0, said: expect.stringContaining('kept as') as string })
  server = await startServer(folder)
  expect((await fetch(`${server.url}/c/${classId}/run`)).status).toBe(200)
})

test('asked to stop, the server finishes what it was asked before, and gives the folder back', async () => {
  const { folder, classId, visits } = running()
  server = await startServer(folder)
  const marks = visits[0].children.map(({ id }) =>
    fetch(`${server.url}/c/${classId}/marks`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({
        id: crypto.randomUUID(),
        observer: crypto.randomUUID(),
        visitId: visits[0].id,
        pupilId: id,
        judged: 'own',
        madeAt: new Date().toISOString(),
      }),
    }).then(
      (response) => response.status,
      () => 0,
    ),
  )
  await new Promise((resolve) => setTimeout(resolve, 30))
  await server.stop()
  expect(server.process.exitCode).toBe(0)
  const answers = await Promise.all(marks)
  await withFolder(folder, async () => {
    const stored = (await runPage(viewer, { classId }))!.marks.length
    expect(stored).toBeGreaterThanOrEqual(answers.filter((status) => status === 200).length)
  })
  rmSync(folder, { recursive: true })
})
