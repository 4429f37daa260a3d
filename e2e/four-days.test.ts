import { strandOf, type StrandId } from '../src/core/skills'
import { Person } from './support/browser'
import { makeClass, toReady } from './support/class'
import { freshFolder, startServer, type TestServer } from './support/server'

/**
 * A newcomer's walk through four sessions on four days, in one folder: what goes wrong in a week goes wrong here, and
 * at the end every mark that was made is there once, with the right child, step and day.
 */
const names = [...'ABCDEFGHIJKLMNOPQRSTUVWXYZ'].map((letter) => `${letter}una`)
const days = ['2026-11-24', '2026-11-25', '2026-11-26', '2026-11-27']
const folder = freshFolder()

interface Made {
  name: string
  judged: 'own' | 'help' | 'notYet'
  /** As the station calls it. */
  step: string
  day: string
}

const words = { own: 'on their own', help: 'with help', notYet: 'not yet' } as const
const made: Made[] = []
let server: TestServer
let person: Person
let base = ''

async function begin(day: string, time = '10:20') {
  server = await startServer(folder, { ISLANDS_CLOCK: `${day}T${time}:00Z` })
  person = await Person.at(server.url)
}
async function end() {
  await person.leave()
  await server.stop()
}

/** One tap for what was seen, noted down with the step that the child’s station is marked at. */
async function mark(name: string, judged: Made['judged'], day: string, by = person) {
  await by.press(`${name} ${words[judged]}`)
  const step = await by.find(
    `//div[@aria-label="${name}" and contains(@class,"child")]/ancestor::div[contains(@class,"visit-rows")]//div[contains(@class,"step")]/strong`,
  )
  made.push({ name, judged, step: await step.getText(), day })
  await by.waitFor(async () => (await by.text('.saved')) === 'All marks saved', 'the mark saved')
}

async function nextSlot(slot: number) {
  await person.press('Next slot')
  await person.sees(new RegExp(`^Slot ${slot} of`))
}

test('Tuesday: from nothing to a session in eight interactions; a wrong Next is taken back', async () => {
  await begin(days[0])
  base = await makeClass(person, 'Oystercatcher Class', names)
  await toReady(person)
  await person.press('Start session')
  await person.button('Pause')
  expect(person.interactions).toBeLessThanOrEqual(8)
  await mark('Auna', 'own', days[0])
  await mark('Buna', 'notYet', days[0])
  await nextSlot(2)
  await person.press('Back to slot 1')
  await person.sees(/^Slot 1 of/)
  await mark('Cuna', 'help', days[0])
  await nextSlot(2)
  await mark('Auna', 'own', days[0])
  await person.press('End here')
  await person.find('//*[@role="status"][contains(.,"The session has ended")]')
  await end()
})

test('Wednesday: a newcomer joins at the station, a child is away, a session that was ended too soon goes on', async () => {
  await begin(days[1])
  await person.goTo(`${base}/class`)
  await person.press('Add children')
  await person.paste('Children', 'Élodie')
  await person.press('Add 1')
  await person.sees(/27 children/)
  await person.goTo(`${base}/plan`)
  await person.press('Ready')
  await person.sees(/^Slot 1 of/)
  await person.press('Start session')
  await person.button('Pause')
  await (await person.find('//button[starts-with(@aria-label,"Élodie joins")]')).click()
  await person.waitFor(
    async () => (await person.all('.newcomers')).length === 0,
    'the newcomer to be in a group',
  )
  await mark('Élodie', 'own', days[1])
  await person.press('Duna')
  await (await person.find('//label[normalize-space(.)="Away today"]')).click()
  await person.find('//button[contains(@class,"child-name")][contains(.,"away")]')
  await person.press('Close')
  await person.press('End here')
  await person.find('//*[@role="status"][contains(.,"The session has ended")]')
  await person.press('Reopen')
  await person.sees(/^Slot 1 of/)
  await mark('Euna', 'help', days[1])
  await person.press('End here')
  await person.find('//*[@role="status"][contains(.,"The session has ended")]')
  await end()
})

test('Thursday: moves are accepted and taken back, a second tab marks as well, a draft is found after a reload', async () => {
  await begin(days[2])
  await person.goTo(`${base}/class`)
  for (const name of names.slice(0, 7)) {
    const box = await person.find(`//input[@aria-label="Choose ${name}"]`)
    await person.driver.executeScript('arguments[0].scrollIntoView({ block: "center" })', box)
    await box.click()
  }
  await person.choose('Add and subtract for all chosen', 'across tens')
  await person.choose('How sure', 'sure')
  await person.press('Place these here')
  await person.waitFor(async () => (await person.all('.place-bar')).length === 0, 'the children placed')
  await person.goTo(`${base}/progress`)
  // Who comes to review moves finds them; accepted, none are looked for again.
  await person.press('Review moves')
  await person.press('Accept')
  await person.find('//p[contains(.,"version 2")]')
  expect(await person.driver.getCurrentUrl()).toMatch(/\/groups$/)
  await person.button('Suggest moves')
  await (await person.find('//summary[contains(.,"versions")]')).click()
  await (await person.find('//button[@aria-label="Take back version 1"]')).click()
  await person.waitFor(
    async () => /^Draft, saved/.test(await person.text('.draft-line [role=status]')),
    'the draft',
  )
  await person.driver.navigate().refresh()
  await person.find('//p[contains(.,"changed from version 2, not in use yet")]')
  await person.press('Use these groups')
  await person.find('//p[contains(.,"version 3")]')
  await person.goTo(`${base}/plan`)
  await person.press('Ready')
  await person.sees(/^Slot 1 of/)
  await person.press('Start session')
  await person.button('Pause')
  const other = await Person.at(server.url)
  try {
    await other.goTo(`${base}/run`)
    await other.button('Pause')
    await mark('Funa', 'own', days[2])
    // The same child by another hand: a second record, not another in its place.
    await mark('Funa', 'notYet', days[2], other)
    await mark('Guna', 'own', days[2], other)
  } finally {
    await other.leave()
  }
  await nextSlot(2)
  await mark('Huna', 'help', days[2])
  await person.press('End here')
  await person.find('//*[@role="status"][contains(.,"The session has ended")]')
  await end()
})

test('Friday: one more session; then every mark is there once, with the right child, step and day', async () => {
  await begin(days[3])
  await person.goTo(`${base}/plan`)
  await person.press('Ready')
  await person.sees(/^Slot 1 of/)
  await person.press('Start session')
  await person.button('Pause')
  await mark('Auna', 'own', days[3])
  await mark('Élodie', 'notYet', days[3])
  await person.press('End here')
  await person.find('//*[@role="status"][contains(.,"The session has ended")]')

  // What was seen on Tuesday is put right on the child's own page; what stood there stays told.
  await person.goTo(`${base}/class`)
  await person.press('Buna')
  await (await person.find('//button[starts-with(@aria-label,"Put right:")]')).click()
  await person.press('on their own')
  await person.find('//li[contains(.,"was not yet, put right on")]')
  made.find(({ name }) => name === 'Buna')!.judged = 'own'

  const { tables } = (await (await fetch(`${server.url}${base}/export`)).json()) as {
    tables: Record<string, Record<string, string & boolean>[]>
  }
  const nameOf = new Map(tables.pupil.map(({ id, name }) => [id, name]))
  const stored = tables.observation
    .filter(({ standing }) => standing)
    .map(({ pupil_id, strand, step, judged, school_day }) => ({
      name: nameOf.get(pupil_id),
      judged,
      step: strandOf(strand as StrandId).steps.find(({ id }) => id === step)!.short,
      day: school_day,
    }))
  const sorted = (marks: readonly object[]) => marks.map((one) => JSON.stringify(one)).sort()
  expect(sorted(stored)).toEqual(sorted(made))
  expect(tables.observation).toHaveLength(made.length + 1)
  expect(
    tables.attendance.filter(({ absent }) => absent).map(({ pupil_id }) => nameOf.get(pupil_id)),
  ).toEqual(['Duna'])
  expect(tables.grouping).toHaveLength(3)
  expect(tables.station_session).toHaveLength(4)
  // One was held today: planned for the next school day, which is Monday.
  await person.goTo(`${base}/plan`)
  await person.press('Ready')
  await person.sees(/^Slot 1 of/)
  await end()
})

test('Tuesday again: Monday’s session was not held; the harbour and the plan say so, and it is held today', async () => {
  await begin('2026-12-01')
  await person.goTo(base)
  await person.sees(/^The session of Monday 30 November was not held/)
  await person.goTo(`${base}/plan`)
  await person.find('//strong[.="Planned for Monday 30 November, which has passed"]')
  await person.press('Plan it for today')
  await person.find('//p[starts-with(normalize-space(.),"Today from")]')
  await person.press('Ready')
  await person.sees(/^Slot 1 of/)
  await person.press('Start session')
  await person.button('Pause')
  await mark('Auna', 'own', '2026-12-01')
  await person.goTo(base)
  await person.waitFor(
    async () => !/was not held/.test(await person.text('main')),
    'nothing left of the session that was not held',
  )
  await end()
})

test('Tuesday at noon: nobody has told the clock; how far the session went is asked on its board', async () => {
  await begin('2026-12-01', '12:20')
  await person.goTo(`${base}/run`)
  await person.sees(/^Slot 1 of/)
  await person.button('It ended in slot 1')
  await person.find('//button[contains(.,"slots were played")]')
  expect(await person.text('.run-bar')).not.toContain('End here')
  await end()
})

test('Wednesday: nobody has ended Tuesday’s session; wherever one looks it is over, and how far it went is asked', async () => {
  await begin('2026-12-02')
  await person.goTo(`${base}/plan`)
  await person.sees(/^A session was left open/)
  await person.goTo(`${base}/run`)
  await person.sees(/^The session of Tuesday 1 December was left open/)
  expect(await person.all('.clock')).toEqual([])
  await person.goTo(base)
  await person.sees(/^The session of Tuesday 1 December was left open/)
  await person.press('It ended in slot 1')
  await person.sees(/^Nothing planned/)
  await (await person.find('//summary[.="The last 5 sessions"]')).click()
  await person.find('//li[contains(.,"Tuesday 1 December")][contains(.,"1 mark")]')
  await (await person.find('//li[contains(.,"Tuesday 1 December")]//a[contains(@href,"/sheets/")]')).click()
  await person.sees(/^Sheets of Tuesday 1 December/)
  const sheets = async () => (await person.all('.typing-head')).length
  const ended = await sheets()
  await (await person.find('//button[contains(.,"slots were played")]')).click()
  await person.waitFor(async () => (await sheets()) > ended, 'the sheets of all slots')
  await end()
})
