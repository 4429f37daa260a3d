import jsQR from 'jsqr'
import { PNG } from 'pngjs'
import { changeHouseStyle } from '../src/server/house-style'
import { runPage } from '../src/server/run'
import { ownTeacher } from '../src/server/viewer'
import { Person } from './support/browser'
import { Line } from './support/line'
import { runningSession, withFolder } from './support/school'
import { freshFolder, startServer, type TestServer } from './support/server'

const viewer = ownTeacher()
const names = [
  'Ama',
  'Bruno',
  'Chidi',
  'Dalia',
  'Emre',
  'Freya',
  'Goran',
  'Hanne',
  'Ines',
  'Jonas',
  'Kofi',
  'Lian',
]
let server: TestServer
const people: Person[] = []
const lines: Line[] = []

const personAt = async (url: string, width: number, height: number) => {
  const person = await Person.at(url, { width, height })
  people.push(person)
  return person
}
afterEach(async () => {
  for (const person of people.splice(0)) await person.leave()
  for (const line of lines.splice(0)) line.close()
  await server?.stop()
})

/** The codes of a way in, made on the run board: what a camera reads in the picture, and what is typed. */
async function wayIn(
  teacher: Person,
  kind: string,
  station?: string,
): Promise<{ scanned: string; code: string }> {
  await teacher.press('Bring a helper')
  const label = await teacher.find(`//label[starts-with(normalize-space(.), "${kind}")]`)
  await label.click()
  if (station) await teacher.choose('Station', station)
  await teacher.press('Make a code')
  expect(await teacher.axe()).toEqual([])
  const picture = await teacher.find('//*[name()="svg"][contains(@class,"qr")]')
  await teacher.driver.executeScript('arguments[0].scrollIntoView({ block: "center" })', picture)
  const { data, width, height } = PNG.sync.read(Buffer.from(await picture.takeScreenshot(), 'base64'))
  const read = jsQR(new Uint8ClampedArray(data), width, height)
  const code = await (await teacher.find('//*[@class="typed-code"]')).getText()
  await teacher.press('Close')
  return { scanned: read!.data, code }
}

async function comeIn(person: Person, code: string) {
  await person.goTo('/here')
  await person.enter('The code from the teacher’s screen', code)
  await person.press('Come in')
}

const saved = (person: Person) => person.text('.saved')
const saysSaved = (person: Person, words: string) =>
  person.waitFor(async () => (await saved(person)) === words, `“${words}”`)

/** What others are seen to have recorded beside a child's name. */
const beside = async (person: Person, name: string): Promise<string> => {
  const rows = await person.all(`[role="group"][aria-label="${name}"] .beside`)
  return rows.length > 0 ? rows[0].getText() : ''
}

/** Milliseconds until something is seen. */
async function timed(look: () => Promise<void>): Promise<number> {
  const from = performance.now()
  await look()
  return Math.round(performance.now() - from)
}

test('five devices in one session: marks of all on all, the server killed in the middle, one without a network and closed', async () => {
  const folder = freshFolder()
  const { classId, visits } = await runningSession(folder, names)
  const stations = await withFolder(folder, async () => {
    await changeHouseStyle(viewer, { classId, style: { digital: true } })
    return (await runPage(viewer, { classId }))!.stations
  })
  const at = (slot: number, stationId: string) =>
    visits.find((visit) => visit.slot === slot && visit.stationId === stationId)!
  const [first, second] = stations
  const here = at(0, first.id).children
  const there = at(0, second.id).children

  server = await startServer(folder)
  const { port } = new URL(server.url)
  const line = await Line.to(server.url)
  lines.push(line)
  const teacher = await personAt(server.url, 1280, 800)
  await teacher.goTo(`/c/${classId}/run`)
  await teacher.button('Pause')

  // A helper at each station: one scans, one types; the room's screen; a screen for children.
  const scanned = await wayIn(teacher, 'A helper', first.title)
  const typed = await wayIn(teacher, 'A helper', second.title)
  const ofRoom = await wayIn(teacher, 'The room')
  const ofScreen = await wayIn(teacher, 'A screen for children', first.title)
  const [helper, phone, room, screen] = [
    await personAt(server.url, 820, 1180),
    await personAt(line.url, 390, 844),
    await personAt(server.url, 1920, 1080),
    await personAt(server.url, 1024, 768),
  ]
  await helper.driver.get(scanned.scanned)
  await helper.sees(new RegExp(first.title))
  expect(await helper.driver.getCurrentUrl()).toBe(`${server.url}/here`)
  await comeIn(phone, typed.code)
  await phone.sees(new RegExp(second.title))
  await comeIn(room, ofRoom.code)
  await room.find('//*[contains(@class,"room-title")]')
  await comeIn(screen, ofScreen.code)
  await screen.find('//*[normalize-space(.)="Who plays?"]')

  // A code is good once, and a wrong one says nothing.
  const late = await personAt(server.url, 390, 844)
  await late.goTo('/here')
  expect(await late.axe()).toEqual([])
  await comeIn(late, typed.code)
  await late.waitFor(
    async () => /doesn’t work any more/.test(await late.text('.problem')),
    'the used code to be refused',
  )
  await late.leave()
  people.splice(people.indexOf(late), 1)

  // A helper sees its own station and nobody else; the room sees no name at all.
  const source = await helper.driver.getPageSource()
  for (const { name } of here) expect(source).toContain(name)
  for (const { name } of there) expect(source).not.toContain(`>${name}<`)
  for (const name of names) expect(await room.text('main')).not.toContain(name)

  for (const device of [helper, phone, room, screen]) expect(await device.axe()).toEqual([])

  // Marks of all on all.
  const took: Record<string, number> = {}
  await helper.press(`${here[0].name} with help`)
  took['helper to teacher'] = await timed(() =>
    teacher.waitFor(
      async () => (await beside(teacher, here[0].name)) === 'also: with help',
      'the helper’s mark',
    ),
  )
  await teacher.press(`${here[1].name} not yet`)
  took['teacher to helper'] = await timed(() =>
    helper.waitFor(
      async () => (await beside(helper, here[1].name)) === 'also: not yet',
      'the teacher’s mark',
    ),
  )
  await phone.press(`${there[0].name} on their own`)
  took['phone to teacher'] = await timed(() =>
    teacher.waitFor(
      async () => (await beside(teacher, there[0].name)) === 'also: on their own',
      'the phone’s mark',
    ),
  )
  // The child plays at the screen: its tally is on the board.
  await screen.press(here[0].name)
  await screen.press('Start')
  await screen.press('Stop')
  await screen.find('//*[contains(., "Now call an adult")]')
  // Who is away is away everywhere, at once.
  await teacher.press(there[1].name)
  await (await teacher.field('Away today')).click()
  took['away to phone'] = await timed(() =>
    phone.waitFor(
      async () => /away/.test(await phone.text(`[aria-label="${there[1].name}"]`)),
      'the absence',
    ),
  )
  await teacher.press('Close')

  // The server is killed: every device says what it holds, and nobody is told that anything is saved.
  await server.stop('SIGKILL')
  await teacher.press(`${here[2].name} on their own`)
  await helper.press(`${here[2].name} with help`)
  await phone.press(`${there[2].name} not yet`)
  for (const person of [teacher, helper, phone]) await saysSaved(person, '1 mark on this device only')
  server = await startServer(folder, {}, [], Number(port))
  for (const person of [teacher, helper, phone]) await saysSaved(person, 'All marks saved')
  await teacher.waitFor(
    async () => (await beside(teacher, here[2].name)) === 'also: with help',
    'the line again',
  )

  // One device loses its network for a slot, is closed, and opened again without one.
  await phone.waitFor(
    async () =>
      (await phone.driver.executeScript<number>(
        'return caches.open("islands-session").then((cache) => cache.keys()).then((keys) => keys.length)',
      )) > 3,
    'the page to be kept on the phone',
  )
  line.break()
  await phone.press(`${there[0].name} not yet`)
  await saysSaved(phone, '1 mark on this device only')
  await teacher.press('Next slot')
  await teacher.waitFor(async () => /Slot 2/.test(await teacher.text('h1')), 'slot 2')
  await helper.waitFor(async () => /Slot 2/.test(await helper.text('.helper-foot')), 'slot 2 on the helper’s')
  await phone.driver.get('about:blank')
  await phone.goTo('/here')
  await saysSaved(phone, '1 mark on this device only')
  await phone.press(`${there[2].name} with help`)
  await saysSaved(phone, '2 marks on this device only')
  line.join()
  await saysSaved(phone, 'All marks saved')
  await phone.waitFor(async () => /Slot 2/.test(await phone.text('.helper-foot')), 'slot 2 on the phone')

  // The end is the end for all; nothing more is to be seen by a code.
  await teacher.press('Finish')
  await teacher.sees(/./)
  await room.waitFor(async () => /over/.test(await room.text('.room-time')), 'the end in the room')
  await helper.goTo('/here')
  await helper.sees(/Come in by a code/)
  await server.stop()

  console.log(`seen elsewhere after (ms): ${JSON.stringify(took)}`)
  await withFolder(folder, async () => {
    const db = await (await import('../src/data/server-database')).serverDatabase()
    const { observation, link } = await import('../src/data/schema')
    const rows = await db.select().from(observation)
    const links = await db.select().from(link)
    const standing = rows.filter((row) => row.standing)
    const nameOf = new Map(visits.flatMap((visit) => visit.children.map((child) => [child.id, child.name])))
    const told = standing.map((row) => {
      const of = links.find(({ id }) => id === row.linkId)
      const who = of ? stations.find(({ id }) => id === of.stationId)!.title : 'teacher'
      return [nameOf.get(row.pupilId), row.judged, who].join(' ')
    })
    // Each once, with who saw it; the phone's later word on two children stands.
    expect(told.sort()).toEqual(
      [
        `${here[0].name} help ${first.title}`,
        `${here[1].name} notYet teacher`,
        `${there[0].name} notYet ${second.title}`,
        `${here[2].name} own teacher`,
        `${here[2].name} help ${first.title}`,
        `${there[2].name} help ${second.title}`,
      ].sort(),
    )
    expect(rows).toHaveLength(8)
    for (const text of [JSON.stringify(links)]) {
      expect(text).not.toContain(scanned.scanned.split('#')[1])
      expect(text).not.toContain(typed.code.replace(' ', ''))
    }
  })
})
