import { Key } from 'selenium-webdriver'
import { games } from '../src/core/games'
import { Person } from './support/browser'
import { makeClass, toReady } from './support/class'
import { startServer, type TestServer } from './support/server'

let server: TestServer
let person: Person
let base: string

beforeAll(async () => {
  server = await startServer()
  person = await Person.at(server.url)
  base = await makeClass(person, 'Tern Class', ['Ama', 'Bruno', 'Chidi', 'Dalia', 'Emre', 'Faith'])
})
afterAll(async () => {
  await person?.leave()
  await server?.stop()
})

const press = (...keys: string[]) =>
  person.driver
    .actions()
    .sendKeys(...keys)
    .perform()

/** Waits until the words beside the table hold this. */
const reads = (words: string) =>
  person.waitFor(async () => (await person.text('.show-words')).includes(words), words)

interface Shown {
  /** The open question, or null. */
  asked: string | null
  sentence: string | null
  over: boolean
  table: string
}

/**
 * What stands on the class screen now, and after each of some more presses of the space bar, up to the end of the game:
 * told to the page from inside, for hundreds of them would take long through the driver.
 */
const steppedOn = (more: number) =>
  person.driver.executeAsyncScript<Shown[]>((more: number, done: (all: Shown[]) => void) => {
    const shown = (): Shown => ({
      asked: document.querySelector('[data-sentence]')?.getAttribute('data-sentence') ?? null,
      sentence: document.querySelector('.show-sentence:not([data-sentence])')?.textContent ?? null,
      over: document.querySelector('.show-now h2')?.textContent === 'The end',
      table: document.querySelector('.show-board')?.innerHTML ?? '',
    })
    const all = [shown()]
    const stepOn = () => {
      if (all.length > more || all.at(-1)!.over) return done(all)
      document.body.dispatchEvent(new KeyboardEvent('keydown', { key: ' ', bubbles: true, cancelable: true }))
      setTimeout(() => {
        all.push(shown())
        stepOn()
      })
    }
    stepOn()
  }, more)

const shown = async () => (await steppedOn(0))[0]

/** The answer to a number sentence with a gap, worked out here; null where it is none. */
function solved(asked: string): number | null {
  const [, a, sign, b] = /^(\d+) ([+−×]) (\d+) = \?$/.exec(asked) ?? []
  if (sign === '+') return Number(a) + Number(b)
  if (sign === '−') return Number(a) - Number(b)
  if (sign === '×') return Number(a) * Number(b)
  const [, part, op, whole] = /^(\d+) ([+×]) \? = (\d+)$/.exec(asked) ?? []
  if (op === '+') return Number(whole) - Number(part)
  if (op === '×') return Number(whole) / Number(part)
  return null
}

const answerIn = (sentence: string, asked: string): number =>
  Number(/\? =/.test(asked) ? /[+×] (\d+) =/.exec(sentence)?.[1] : /= (\d+)$/.exec(sentence)?.[1])

/** More pictures than any first level has to its end. */
const longEnough = 300
/** Games that go on until the time is up: they are looked at for as long as a class would watch. */
const withoutEnd = new Map([['pebble-count', 40]])

test.each(games.map(({ id }) => [id] as const))(
  '%s is shown by the space bar alone, and every sentence comes out right',
  async (id) => {
    await person.goTo(`${base}/show/${id}`)
    await reads('Watch first')
    await press(Key.SPACE)
    const steps = await steppedOn(withoutEnd.get(id) ?? longEnough)
    let checked = 0
    for (const [i, { sentence }] of steps.entries()) {
      const asked = steps[i - 1]?.asked
      if (!asked || !sentence || solved(asked) === null) continue
      expect([asked, answerIn(sentence, asked)]).toEqual([asked, solved(asked)])
      checked++
    }
    const changed = steps.filter(({ table }, i) => table !== steps[i - 1]?.table).length
    const { over } = steps.at(-1)!
    expect(over).toBe(!withoutEnd.has(id))
    expect(changed).toBeGreaterThan(1)
    // Games whose goes are number sentences have been checked by them.
    if (['landfall', 'the-gap', 'perch', 'five-flags', 'two-halves', 'door-cards'].includes(id))
      expect(checked).toBeGreaterThan(1)
  },
)

test('stepping on and back leads to the same picture; the table is clean for who can’t see or use a mouse', async () => {
  await person.goTo(`${base}/show/landfall?level=to-20-die`)
  await reads('Watch first')
  const forward = []
  for (let step = 0; step < 9; step++) {
    forward.push(await shown())
    await press(Key.SPACE)
  }
  for (const before of forward.reverse()) {
    await press(Key.BACK_SPACE)
    expect(await shown()).toEqual(before)
  }
  await press(Key.SPACE, Key.SPACE)
  expect(await person.axe()).toEqual([])
})

test('real dice: what they showed is played, what they can’t show is refused', async () => {
  await person.goTo(`${base}/show/landfall?level=to-100`)
  await reads('Watch first')
  await person.press('Real dice')
  await person.enter('What did it show?', '7 2')
  await person.press('Play it')
  await reads('It can’t show 7 and 2 now.')
  await person.enter('What did it show?', '4 2')
  await person.press('Play it')
  await reads('4 and 2')
  await person.press('Next')
  await reads('Where will it land?')
  expect((await shown()).asked).toBe('0 + 6 = ?')
})

test('someone slips: a wrong answer first, its reason after; a case is shown when asked for', async () => {
  await person.goTo(`${base}/show/landfall?level=to-20-die`)
  await reads('Watch first')
  await press(Key.SPACE, Key.SPACE)
  const { asked } = await shown()
  await press('s')
  await reads('What happened?')
  const said = Number(/Someone says (\d+)/.exec(await person.text('.show-slip'))![1])
  expect(said).not.toBe(solved(asked!))
  await press('s')
  await reads('Counted the number started from as one.')
  await press('w')
  for (let step = 0; step < 3 && !/wait for the next go/.test(await person.text('.show-now')); step++)
    await press(Key.SPACE)
  expect(await person.text('.show-now')).toMatch(/Nothing fits/)
})

/** Answers the open question: the first time wrongly if asked to. Returns false where nothing is asked. */
async function reply(wrongly: boolean): Promise<boolean> {
  const sentence = await person.driver.executeScript<string | null>(
    () => document.querySelector('.show-sentence')?.textContent ?? null,
  )
  if (!sentence) return false
  const right = solved(sentence.replace(/\s+/g, ' ').replace(/= *$/, '= ?').trim())
  if (right === null) return false
  if (wrongly) {
    await press(...String(right + 1), Key.ENTER)
    await reads('Not yet: look again.')
  }
  await press(...String(right), Key.ENTER)
  return true
}

test('Try: a person plays to the end; right at once and slips are told as they were', async () => {
  await person.goTo(`${base}/try/landfall?level=to-10-die`)
  await reads('Use the device.')
  let asked = 0
  let wrong = 0
  for (let go = 0; go < 80; go++) {
    await press(Key.SPACE)
    const slips = asked === 1
    if (await reply(slips)) {
      asked++
      if (slips) wrong++
    } else if (/What will you do/.test(await person.text('.show-words'))) await person.press('Nothing fits')
    if (/What was practised/.test(await person.text('.show-words'))) break
  }
  const summary = await person.text('.try-summary')
  const tallies = [...summary.matchAll(/(\d+) of (\d+)/g)].map(([, right, of]) => [Number(right), Number(of)])
  expect(tallies.reduce((sum, [, of]) => sum + of, 0)).toBe(asked)
  expect(tallies.reduce((sum, [right]) => sum + right, 0)).toBe(asked - wrong)
  expect(wrong).toBe(1)
  expect(summary).toContain('Slips')
  expect(await person.axe()).toEqual([])
})

test('Try: the move is chosen by its place on the table, and taken back', async () => {
  await person.goTo(`${base}/try/grid-hop?level=to-50`)
  await reads('Use the device.')
  await press(Key.SPACE)
  await reads('What will you do?')
  const live = await person.driver.executeScript<string[]>(() =>
    [...document.querySelectorAll('[data-live]')].map((spot) => spot.getAttribute('data-live') ?? ''),
  )
  expect(live).toHaveLength(2)
  const [ones, tens] = live.map((id) => Number(id.split('-')[1])).sort((a, b) => a - b)
  // A six in tens would go beyond: it lands on the goal.
  expect(tens).toBe(Math.min(50, 10 * ones))
  await person.driver.executeScript(
    (id: string) =>
      document
        .querySelector(`[data-live="${id}"]`)!
        .dispatchEvent(new MouseEvent('click', { bubbles: true })),
    `square-${tens}`,
  )
  await reads('Where will it land?')
  await press('u')
  await reads('What will you do?')
})

test('one click from the harbour to the class screen of the next session’s first game', async () => {
  await person.goTo(`${base}/groups`)
  await toReady(person)
  await person.goTo(base)
  const first = await person.find(`//a[starts-with(@aria-label, 'Show ')]`)
  await first.click()
  await reads('Watch first')
})

test('the trainer: ten goes, what was marked is compared, nothing is kept', async () => {
  await person.goTo(`${base}/train/landfall?level=to-20-die`)
  await person.sees(/What did the child do/)
  let agreed = 0
  for (let go = 0; go < 10; go++) {
    const said = await person.text('.trainer-said')
    const [asked] = [await person.text('.trainer-asked')]
    const numbers = [...said.matchAll(/says (\d+)/g)].map(([, number]) => Number(number))
    const right = solved(asked)!
    // Right at once, right after a look again, or not: the mark follows from what was said.
    const mark = numbers[0] === right ? 'on their own' : numbers.at(-1) === right ? 'with help' : 'not yet'
    await person.press(mark)
    if (mark !== 'on their own') {
      const reasons = await person.driver.findElements({ css: '[aria-label="Reason"] button' })
      await reasons[0].click()
    }
    const told = await person.text('.trainer-go [role=status]')
    if (told.startsWith('That is how')) agreed++
    expect(told).toContain(mark)
    await person.press('Next')
  }
  expect(await person.heading()).toBe(`You agree on ${agreed} of 10`)
  expect(agreed).toBeGreaterThan(2)
  expect(await person.axe()).toEqual([])
})

test('the tools: by keyboard and by touch, full screen', async () => {
  await person.goTo(`${base}/tools`)
  await person.sees(/Dice/)
  await press(Key.SPACE)
  const rolled = (await person.text('header p')).split(' and ').map(Number)
  expect(rolled).toHaveLength(2)
  expect(rolled.every((n) => n >= 1 && n <= 6)).toBe(true)
  await press('6')
  await person.sees(/Ten frames/)
  await press(...Array<string>(7).fill(Key.ARROW_RIGHT))
  expect(await person.text('header p')).toBe('7 marked')
  await press('5')
  await person.sees(/Hundred grid/)
  await person.driver.findElement({ css: '[data-live="spot-34"]' }).click()
  expect(await person.text('header p')).toBe('1 marked')
  await press('7')
  await person.sees(/Clock/)
  await person.press('+ an hour')
  expect(await person.text('header p')).toBe('4 o’clock')
  expect(await person.axe()).toEqual([])
})

/** Waits until this stands over the questions. */
const stands = (words: string) =>
  person.waitFor(async () => (await person.text('.show-table header')).includes(words), words)

test('questions for the carpet: at the steps of the class, each answer right, with time if wanted', async () => {
  await person.goTo(`${base}/show/rising-tide`)
  await person.press('Rounds against time')
  await stands('Round 1, question 1 of 10')
  const left = async () => Number((await person.text('.time-left')).replace(' s', ''))
  expect(await left()).toBeGreaterThan(10)
  const begun = await left()
  await person.waitFor(async () => (await left()) < begun, 'time running')
  expect(await person.axe()).toEqual([])
  await person.goTo(`${base}/questions`)
  let solvedHere = 0
  for (let question = 1; question <= 10; question++) {
    await stands(`question ${question} of 10`)
    const asked = await person.driver.executeScript<string | null>(
      () => document.querySelector('[data-asked]')?.getAttribute('data-asked') ?? null,
    )
    await press(Key.SPACE)
    const said = await person.text('.question-sentence[role=status]')
    const right = asked === null ? null : solved(asked)
    if (right !== null) {
      solvedHere++
      expect(answerIn(said, asked!)).toBe(right)
    }
    await press(Key.SPACE)
  }
  await stands('all asked')
  expect(solvedHere).toBeGreaterThan(2)
  await press(Key.BACK_SPACE)
  await stands('question 10 of 10')
  await press(Key.SPACE, Key.SPACE)
  await stands('Round 2, question 1 of 10')
})

test('read from the back of the room: numerals of a track to 100 are at least 46 pixels high at 1920 × 1080, sentences 110', async () => {
  const projector = await Person.at(server.url, { width: 1920, height: 1080 })
  try {
    for (const path of ['landfall?level=to-100', 'currents?level=to-100', 'grid-hop?level=to-100']) {
      await projector.goTo(`${base}/show/${path}`)
      await projector.find('//*[contains(@class, "show-board")]//*[name()="text"]')
      // On until a sentence stands there.
      for (let step = 0; step < 8; step++) {
        if ((await projector.all('.show-sentence')).length > 0) break
        await projector.keys(Key.ENTER)
      }
      const { numerals, sentence } = await projector.driver.executeScript<{
        numerals: number[]
        sentence: number
      }>(() => {
        const board = document.querySelector<SVGSVGElement>('.show-board svg')!
        const scale = board.getScreenCTM()!.a
        return {
          numerals: [...board.querySelectorAll('text')]
            .filter(({ textContent }) => /^\d{1,2}$/.test(textContent ?? ''))
            .map((text) => parseFloat(getComputedStyle(text).fontSize) * scale),
          sentence: parseFloat(getComputedStyle(document.querySelector('.show-sentence')!).fontSize),
        }
      })
      expect(numerals.length).toBeGreaterThan(90)
      // To the nearest pixel.
      const least = Math.round(Math.min(...numerals))
      expect(`${path}: ${Math.min(46, least)}`).toBe(`${path}: 46`)
      expect(sentence).toBeGreaterThanOrEqual(110)
    }
  } finally {
    await projector.leave()
  }
})
