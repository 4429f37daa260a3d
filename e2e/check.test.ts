import { placedBelief, difficultiesOf } from '../src/core/evidence/history'
import { checkAfter, type CheckAnswer } from '../src/core/evidence/check-run'
import { judgements } from '../src/core/evidence/observation'
import { placementByYear } from '../src/core/evidence/prior'
import { strandOf } from '../src/core/skills'
import { Person } from './support/browser'
import { makeClass } from './support/class'
import { startServer, type TestServer } from './support/server'

let server: TestServer
let person: Person
let base: string

beforeAll(async () => {
  server = await startServer()
  person = await Person.at(server.url, { width: 820, height: 1180 })
  base = await makeClass(person, 'Tern Class', ['Ama', 'Bruno', 'Chidi'])
})
afterAll(async () => {
  await person?.leave()
  await server?.stop()
})

/** Chooses one strand alone and begins. */
async function begin(title: string) {
  await person.sees(/^Five minutes with/)
  await person.driver.executeScript((wanted: string) => {
    for (const box of document.querySelectorAll<HTMLInputElement>('.check-strands input')) {
      const label = box.labels![0].textContent!.replace(/ \(.*\)$/, '')
      if (box.checked !== (label === wanted)) box.click()
    }
  }, title)
  await person.press('Begin')
}

const stepAsked = () =>
  person.driver.executeScript<string | null>(
    () => document.querySelector<HTMLElement>('.check-say')?.dataset.step ?? null,
  )
const saved = () =>
  person.waitFor(async () => (await person.text('.check-bar')).includes('All marks saved'), 'all saved')

test('a check by keyboard asks what the core asks for the same answers, and tells no estimate to the child', async () => {
  await person.goTo(`${base}/class`)
  await person.press('Ama')
  await person.press('Quick check')
  await begin('Add and subtract')
  const placed = placedBelief({ strand: 'add', day: '2026-11-24', ...placementByYear('add', 'Year 1') })
  const beliefs = new Map([['add' as const, placed.belief]])
  const answers: CheckAnswer[] = []
  expect(difficultiesOf('add').length).toBe(strandOf('add').steps.length)
  for (;;) {
    const expected = checkAfter(beliefs, answers, 5).next
    await person.waitFor(
      async () => (await stepAsked()) === (expected?.step ?? null),
      `the step ${expected?.step}`,
    )
    if (!expected) break
    if (answers.length === 1) {
      expect(await person.text('.check-main')).not.toMatch(/in 100|secure|likely/)
      expect(await person.axe()).toEqual([])
    }
    const i = (answers.length * 2) % 3
    await person.keys(String(i + 1))
    answers.push({ place: expected, value: { judged: judgements[i], right: null, of: null } })
  }
  expect(answers.length).toBeGreaterThan(2)
  expect(await person.sees(/^Ama, after/)).toBe(`Ama, after ${answers.length} answers`)
  expect(await person.axe()).toEqual([])
  await saved()
  await person.press('To Ama')
  const seen = await person.find('//section[@aria-label="Evidence"]')
  expect((await seen.getText()).split('\n').length).toBeGreaterThan(answers.length)
})

test('undo, a tally, a strand left alone; answers without a network wait on the device, over a reload too', async () => {
  await person.goTo(`${base}/class`)
  await (await person.find('//input[@aria-label="Choose everybody"]')).click()
  await person.press('Check one by one')
  await person.sees(/^Five minutes with Ama/)
  expect(await person.text('.check-start')).toContain('Then Bruno, Chidi.')
  const bruno = (await person.driver.getCurrentUrl()).replace(
    /check\/.*then=([^,&]+)(?:,|%2C)([^,&]+)$/,
    'check/$1?then=$2',
  )
  await person.goTo(bruno.slice(person.url.length))
  await begin('Count on')
  const first = await stepAsked()
  await person.keys('3')
  await person.waitFor(async () => (await person.text('.check-bar')).includes('1 answer'), 'an answer')
  await saved()
  await person.keys('u')
  await person.waitFor(async () => (await stepAsked()) === first, 'the first task again')
  await saved()
  await person.network(true)
  await person.press('Count right answers')
  await person.enter('right answers', '4')
  await person.press('Keep')
  await person.waitFor(
    async () => /1 mark on this device only/.test(await person.text('.check-bar')),
    'it waits',
  )
  await person.driver.navigate().refresh()
  await person.sees(/^Five minutes with Bruno/)
  await begin('Count on')
  await saved()
  await person.press('Skip count on')
  await person.sees(/^Bruno/)
  expect(await person.text('.check-result')).toContain('left alone today')
  await person.press('Next: Chidi')
  await person.sees(/^Five minutes with Chidi/)
  await person.goTo(`${base}/class`)
  await person.press('Bruno')
  const seen = await (await person.find('//section[@aria-label="Evidence"]')).getText()
  // The answer that was taken back is not there; the tally is, once.
  expect(seen.match(/4 of 5/g)).toHaveLength(1)
  expect(seen).not.toContain('not yet')
  expect((await person.complaints()).filter((words) => !/no network/.test(words))).toEqual([])
})

test('a child of nobody, and a queue by hand in the address, lead nowhere wrong', async () => {
  await person.goTo(`${base}/check/00000000-0000-4000-8000-000000000000`)
  expect(await person.heading()).toMatch(/There is|not here|nothing here/i)
  await person.goTo(`${base}/check/x?then=y`)
  expect(await person.heading()).toMatch(/There is|not here|nothing here/i)
})

test('three at once with whiteboards: marks by rows, by keys, the rest right; undo; every child’s record is there', async () => {
  await person.goTo(`${base}/class`)
  await (await person.find('//input[@aria-label="Choose everybody"]')).click()
  await person.press('Check together')
  await person.sees(/^Check Ama, Bruno and Chidi together/)
  expect(await person.axe()).toEqual([])
  await person.driver.executeScript(() => {
    for (const box of document.querySelectorAll<HTMLInputElement>('.check-strands input')) {
      const wanted = box.labels![0].textContent!.startsWith('Add and subtract')
      if (box.checked !== wanted) box.click()
    }
  })
  await person.press('Begin')
  await person.waitFor(async () => (await stepAsked()) !== null, 'a task')
  const first = await stepAsked()
  expect(await person.axe()).toEqual([])
  // By mouse the second, by keys the first and the last; a wrong task is taken back.
  await (await person.find('//button[@aria-label="Bruno: not yet"]')).click()
  expect(await person.text('.check-foot')).toContain('The rest right: next')
  await person.keys('n')
  await person.waitFor(async () => (await person.text('.check-bar')).includes('1 task'), 'the second task')
  await person.keys('u')
  await person.waitFor(async () => (await person.text('.check-bar')).includes('0 tasks'), 'taken back')
  expect(await stepAsked()).toBe(first)
  await person.keys('1', '3', '2', 'n')
  await person.waitFor(async () => (await person.text('.check-bar')).includes('1 task'), 'the second task')
  // Who shows no board has nothing recorded.
  await person.keys('0', '0', '0', 'n')
  await person.waitFor(async () => (await person.text('.check-bar')).includes('2 tasks'), 'the third task')
  await person.press('Finish')
  await person.sees(/^After 2 tasks/)
  expect(await person.axe()).toEqual([])
  await saved()
  for (const [name, words] of [
    ['Ama', 'on their own'],
    ['Bruno', 'not yet'],
    ['Chidi', 'with help'],
  ]) {
    await person.goTo(`${base}/class`)
    await person.press(name)
    const evidence = await (await person.find('//section[@aria-label="Evidence"]')).getText()
    expect(evidence).toContain(words)
  }
})
