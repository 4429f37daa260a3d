import { Person } from './support/browser'
import { startServer, type TestServer } from './support/server'

const names = [
  'Ama',
  'Bruno',
  'Chidi',
  'Dalia',
  'Emre',
  'Freya',
  'Goran',
  'Hanne',
  'Ilse',
  'Jamal',
  'Kiri',
  'Lotte',
]

let server: TestServer
let person: Person
let base: string

beforeAll(async () => {
  server = await startServer()
  person = await Person.at(server.url)
  await person.goTo('/')
  await person.sees(/Who is in your class/)
  await person.enter('Name of the class', 'Dunlin Class')
  await person.choose('Year group', 'Year 1')
  await person.paste('Children', names.join('\n'))
  await person.press('Create class of 12')
  await person.sees(/Nobody is known yet/)
  base = new URL(await person.driver.getCurrentUrl()).pathname.split('/').slice(0, 3).join('/')
})
afterAll(async () => {
  await person?.leave()
  await server?.stop()
})

const clean = async () => expect(await person.axe()).toEqual([])
const laneOf = async (name: string) =>
  (await person.find(`//section[contains(@class,"lane")][.//button[contains(.,"${name}")]]`)).getAttribute(
    'aria-label',
  )

test('house style: how children move up and the order of counting in steps are the class’s own', async () => {
  await person.goTo(`${base}/class?strands=steps`)
  await person.sees(/12 children/)
  const first = () => person.text('.class-table thead th:nth-child(3)')
  expect(await first()).toBe('Count in tens')
  await person.press('House style')
  await clean()
  await (await person.find('//label[starts-with(normalize-space(.),"By counting")]')).click()
  await person.enter('alone', '3')
  await person.enter('of the last', '2')
  await (await person.find('//label[starts-with(normalize-space(.),"Twos, fives, tens")]')).click()
  await person.press('Save')
  // Three of two can't be: said, and nothing typed is lost.
  await person.find('//*[contains(.,"More successes are wanted than are counted")]')
  await person.enter('of the last', '4')
  await person.press('Save')
  await person.waitFor(async () => (await first()) === 'Count in twos', 'twos to come first')
  await person.goTo(`${base}/progress`)
  await person.find('//p[contains(.,"3 of the last 4 alone, on 2 days")]')
  await clean()
})

test('strands the class does not work on stay out of the way, and come back', async () => {
  await person.goTo(`${base}/class`)
  await person.sees(/12 children/)
  const sets = async () => (await person.text('.strand-sets')).split('\n').slice(0, 6)
  expect(await sets()).toContain('Coins, time, pattern')
  const tick = async (strand: string) =>
    (await person.find(`//label[normalize-space(.)="${strand}"]`)).click()
  await person.press('House style')
  for (const strand of ['Coins', 'Time', 'Pattern', 'Numerals']) await tick(strand)
  await person.press('Save')
  await person.waitFor(async () => !(await sets()).includes('Coins, time, pattern'), 'the set to go')
  const columns = async () => (await person.all('.class-table thead th')).length
  expect(await columns()).toBe(5)
  const [child] = await person.all('.class-table tbody th a')
  const id = (await child.getAttribute('href'))!.split('/').pop()
  await person.goTo(`${base}/check/${id}`)
  await person.find('//label[contains(.,"How many")]')
  expect(await person.text('main')).not.toContain('Pattern')
  // By hand in the address a set of which nothing is left leads to one of which something is.
  await person.goTo(`${base}/class?strands=beside`)
  await person.sees(/12 children/)
  expect(await person.text('.strand-sets [aria-current]')).toBe('Adding, how many, numerals')
  await person.press('House style')
  for (const strand of ['Coins', 'Time', 'Pattern', 'Numerals']) await tick(strand)
  await person.press('Save')
  await person.waitFor(async () => (await sets()).includes('Coins, time, pattern'), 'the set to come back')
})

test('groups: a child that stays is where it was when they are made anew', async () => {
  await person.goTo(`${base}/groups`)
  await person.sees(/Nobody is known yet/)
  await (await person.find('//button[contains(@class,"lane-name")][contains(.,"Ama")]')).click()
  const moves = await person.all('.groups-side .btn-quiet')
  await moves.at(-1)!.click()
  const lane = await laneOf('Ama')
  await (await person.find('//label[contains(.,"when groups are made again")]')).click()
  await clean()
  await person.press('Done')
  await person.choose('Groups', '3')
  await person.button('Use these groups')
  expect(await laneOf('Ama')).toBe(lane)
  await (await person.find('//summary[contains(.,"1 limit kept")]')).click()
  await person.find(`//li[contains(.,"Ama stays in ${lane}")]`)
  // More children kept out of a group than sizes allow is said, with what to drop.
  await person.choose('At most', '4')
  await person.choose('At least', '4')
  await person.button('Use these groups')
  await person.press('Release')
  await person.find('//summary[contains(.,"No limits")]')
})

test('a child who needs an adult near is grouped where one is, and that group is marked', async () => {
  await person.goTo(`${base}/class`)
  await person.sees(/12 children/)
  await person.press('Apart and together')
  await person.choose('Needs an adult near', 'Bruno')
  await clean()
  await person.press('Save')
  await person.waitFor(async () => (await person.all('.offcanvas')).length === 0, 'the sheet to close')
  await person.goTo(`${base}/groups`)
  await person.press('Make again')
  await person.button('Use these groups')
  const lane = await laneOf('Bruno')
  const near = await person.find(`//input[@aria-label="${lane}: adult near"]`)
  expect(await near.isSelected()).toBe(true)
  // Without the adult it is said at once.
  await near.click()
  await person.find('//*[contains(.,"Bruno needs an adult near.")]')
  await clean()
})

test('mixed groups and pairs: own ranges in the groups, on the plan and while marking', async () => {
  await person.goTo(`${base}/groups`)
  await person.sees(/Nobody is known yet/)
  await person.choose('Groups of', 'pairs within reach')
  await person.find('//p[contains(.,"in pairs")]')
  await person.press('Use these groups')
  await person.find('//p[contains(.,"version 1")]')
  await (await person.find('//button[contains(@class,"lane-name")][1]')).click()
  await person.find('//p[starts-with(.,"Plays with")]')
  await person.press('Done')
  await person.choose('Groups of', 'mixed levels')
  await person.find('//p[contains(.,"own ranges in mixed groups")]')
  await clean()
  await person.press('Use these groups')
  await person.find('//p[contains(.,"version 2")]')
  await person.press('To the plan')
  await person.sees(/stations/)
  await person.find('//div[contains(@class,"own-ranges")][contains(.,"×")]')
  await clean()
})

test('plan: a group moved by hand stays; a gap is filled by the planner and says so', async () => {
  await person.goTo(`${base}/plan`)
  await person.sees(/stations/)
  const cell = (await (
    await person.find('//select[contains(@aria-label,"slot 1: station")]')
  ).getAttribute('aria-label'))!.replace(': station', '')
  // Any station but the one the group is at.
  const other = await person.driver.executeScript<string>(
    'const s = document.querySelector(`select[aria-label="${arguments[0]}: station"]`); return [...s.options].find((o) => o.value && !o.selected).text',
    cell,
  )
  await person.choose(`${cell}: station`, other)
  await person.find(`//button[@aria-label="${cell}: keep here"][@aria-pressed="true"]`)
  await person.choose('Slots', '4')
  expect(await person.sees(/gaps/)).toMatch(/^\d gaps/)
  await clean()
  await person.press('Fill gaps')
  await person.waitFor(async () => !/gap/.test(await person.heading()), 'the gaps to be filled')
  await person.press('Plan again')
  await person.button('Ready')
  const chosen = await person.driver.executeScript<string>(
    'const s = document.querySelector(`select[aria-label="${arguments[0]}: station"]`); return s.selectedOptions[0].text',
    cell,
  )
  expect(chosen).toBe(other)
  await (await person.find('//summary[contains(.,"Minutes around")]')).click()
  await person.enter('Lesson', '30')
  await person.keys('')
  await (await person.find('//h1')).click()
  await person.find('//*[contains(.,"minutes over the lesson")]')
  await person.press('Ready')
  await person.sees(/Slot 1 of 4/)
})

test('a plan that was kept goes on with new groups, says so, and is kept again', async () => {
  await person.goTo(`${base}/groups`)
  await person.choose('Groups of', 'similar level')
  await person.press('Use these groups')
  await person.find('//p[contains(.,"version 3")]')
  await person.press('To the plan')
  await person.find('//strong[contains(.,"now with the new groups")]')
  await clean()
  await person.press('Ready')
  await person.sees(/Slot 1 of 4/)
  await person.goTo(`${base}/plan`)
  await person.button('To the session')
})

test('partners: the plan says who plays with whom; on the run board who is left alone is told whom to join', async () => {
  await person.goTo(`${base}/plan`)
  await person.sees(/stations/)
  await (await person.find('//summary[contains(.,"Who plays with whom")]')).click()
  const planned = await person.driver.executeScript<string[]>(
    'return [...document.querySelectorAll(".who-with-whom tbody tr")].map((row) => row.cells[1].innerText)',
  )
  await clean()
  await person.goTo(`${base}/run`)
  await person.press('Start session')
  await person.button('Pause')
  const sets = await person.driver.executeScript<string[][][]>(
    `return [...document.querySelectorAll(".visit-rows")].map((visit) =>
       [...visit.querySelectorAll(".set")].map((set) => [...set.querySelectorAll(".child")].map((row) => row.ariaLabel)))`,
  )
  // Held together by a rail as the plan said, group by group.
  const told = planned.filter((cell) => cell.includes(','))
  expect(told.length).toBeGreaterThan(0)
  for (const cell of told)
    expect(sets.map((visit) => visit.map((set) => set.join(', ')).join('\n'))).toContain(cell)
  const divided = sets.find((visit) => visit.length > 1)!
  const [left, ...others] = divided[0]
  for (const away of others) {
    await (await person.find(`//div[@aria-label="${away}"]/button`)).click()
    await (await person.find('//*[@id="absent"]')).click()
    await person.find(`//div[@aria-label="${away}"][contains(.,"away")]`)
    await person.press('Close')
    await person.waitFor(async () => (await person.all('[role=dialog]')).length === 0, 'the sheet to close')
  }
  const beside = await person.find(`//div[@aria-label="${left}"]//small[starts-with(.,"with ")]`)
  const joined = await beside.getText()
  expect(
    divided
      .slice(1)
      .flat()
      .some((name) => joined.includes(name)),
  ).toBe(true)
  await clean()
})

test('two tabs: groups are made anew in one; the plan open in the other is not kept for them before it was looked at', async () => {
  await person.goTo('/new')
  await person.enter('Name of the class', 'Sanderling Class')
  await person.paste('Children', names.join('\n'))
  await person.press('Create class of 12')
  await person.sees(/Nobody is known yet/)
  const own = new URL(await person.driver.getCurrentUrl()).pathname.split('/').slice(0, 3).join('/')
  await person.press('Use these groups')
  await person.press('To the plan')
  await person.sees(/stations/)
  await person.choose('Adults', '3')
  await person.button('Ready')
  const other = await Person.at(server.url)
  try {
    await other.goTo(`${own}/groups`)
    await other.choose('Groups', '3')
    await other.press('Use these groups')
    await other.find('//p[contains(.,"version 2")]')
  } finally {
    await other.leave()
  }
  await person.press('Ready')
  await person.find('//*[contains(.,"The groups have changed since this plan was opened")]')
  await clean()
  await person.press('Look again')
  await person.waitFor(async () => (await person.all('.plan-grid tbody tr')).length === 3, 'three groups')
  await (await person.find('//button[starts-with(normalize-space(.),"Ready")]')).click()
  await person.sees(/Slot 1 of 2/)
})
