import { Key, type WebElement } from 'selenium-webdriver'
import { gameOf } from '../src/core/games'
import { movesOf, wordsFor } from '../src/core/games/engine/round'
import {
  answer,
  beginTrying,
  chooseMove,
  deviceUsed,
  isOwnGo,
  movesBySpot,
  othersStep,
  pass,
  type Trying,
} from '../src/core/games/playing/trying'
import { choicesFor, itemAsked, placeOf, slips, stepOf, type PracticeItem } from '../src/core/skills'
import { promptFor, slipInWords } from '../src/ui/show/in-words'
import { By, Person } from './support/browser'
import { makeClass } from './support/class'
import { startServer, type TestServer } from './support/server'

let server: TestServer
let person: Person
let base: string

beforeAll(async () => {
  server = await startServer()
  person = await Person.at(server.url, { width: 820, height: 1180 })
  await person.driver.sendDevToolsCommand('Emulation.setTouchEmulationEnabled', { enabled: true })
  base = await makeClass(person, 'Tern Class', ['Ama', 'Bruno', 'Chidi', 'Dalia', 'Emre', 'Faith'])
})
afterAll(async () => {
  await person?.leave()
  await server?.stop()
})

/** Three games of every family; lines has two. Of each kind of question one is among them. */
const tried = [
  ['tracks', ['landfall', 'grid-hop', 'squall']],
  ['lines', ['five-flags', 'perch']],
  ['collect', ['tower-bay', 'tens-catch', 'trade-up']],
  ['order', ['bigger-haul', 'card-order', 'neighbours']],
  ['explain', ['clock-cards', 'quick-look', 'two-halves']],
] as const

/** A finger on the middle of what is to be touched. */
async function tap(element: WebElement) {
  await person.driver.executeScript('arguments[0].scrollIntoView({ block: "nearest" })', element)
  const { x, y, width, height } = await person.driver.executeScript<DOMRect>(
    'return arguments[0].getBoundingClientRect()',
    element,
  )
  const touchPoints = [{ x: x + width / 2, y: y + height / 2 }]
  await person.driver.sendDevToolsCommand('Input.dispatchTouchEvent', { type: 'touchStart', touchPoints })
  await person.driver.sendDevToolsCommand('Input.dispatchTouchEvent', { type: 'touchEnd', touchPoints: [] })
}

const touch = async (name: string) => tap(await person.button(name))
const inGroup = (name: string) => person.driver.findElements(By.css(`[aria-label="${name}"] button`))

/** A sentence without the sign of its gap. */
const bare = (sentence: string) => sentence.replace('?', '').replace(/\s+/g, ' ').trim()

/** What stands beside the table. */
const words = async () => (await person.text('.show-words')).replace(/\s+/g, ' ')
const reads = (text: string) => person.waitFor(async () => (await words()).includes(text), text)

/** A number said to the open question: by finger or by keys, or chosen from what is offered. */
async function say(item: PracticeItem, number: number, byKeys: boolean) {
  const choices = choicesFor(item)
  if (choices) return tap((await inGroup('Answers'))[choices.indexOf(number)])
  if (byKeys) return person.keys(...String(number), Key.ENTER)
  for (const digit of String(number)) await touch(digit)
  await touch('Say')
}

/** A wrong answer with a reason, if the question has one. */
const slipOf = (item: PracticeItem) =>
  slips(item).find(({ answer: said }) => said !== item.answer && said >= 0)

describe.each(tried.flatMap(([family, ids]) => ids.map((id) => [family, id] as const)))('%s: %s', (_, id) => {
  test('is played by a person who slips now and then; the tally is what was answered', async () => {
    const { levels, players } = gameOf(id)
    // A longer one where the first may be over before anybody slips.
    const level = id === 'grid-hop' ? levels.find((one) => one.id === 'to-100')! : levels[0]
    const seed = 17
    const company = players.min > 1 ? 'novice' : 'alone'
    // The same game beside it, to know what can be done; what was answered is counted here.
    let game: Trying = beginTrying(id, level.params, players.min, company, seed)
    const tally = new Map<string, { right: number; of: number }>()
    const reasons = new Map<string, number>()
    let [asked, chosen] = [0, 0]
    await person.goTo(`${base}/try/${id}?level=${level.id}&seed=${seed}`)
    for (let step = 0; step < 60 && asked < 8 && game.round.phase !== 'over'; step++) {
      const [item] = game.open
      if (item) {
        asked++
        await reads(promptFor(item, game.move === null ? undefined : wordsFor(game.round, game.move).verb))
        const sentence = await person.driver.executeScript<string | null>(
          () => document.querySelector('.show-sentence')?.textContent ?? null,
        )
        // The gap is a box there.
        if (sentence !== null) expect(bare(sentence)).toBe(bare(itemAsked(item)))
        const slip = asked % 3 === 2 ? slipOf(item) : undefined
        if (slip) {
          await say(item, slip.answer, asked % 2 === 0)
          await reads('Not yet: look again.')
          game = answer(game, slip.answer)
          reasons.set(slipInWords[slip.reason], (reasons.get(slipInWords[slip.reason]) ?? 0) + 1)
        }
        await say(item, item.answer, asked % 2 === 0)
        game = answer(game, item.answer)
        const place = placeOf(item)
        if (!place) continue
        const { short } = stepOf(place)
        const { right, of } = tally.get(short) ?? { right: 0, of: 0 }
        tally.set(short, { right: right + (slip ? 0 : 1), of: of + 1 })
      } else if (!isOwnGo(game)) {
        await touch('Next')
        game = othersStep(game)
      } else if (game.round.phase === 'roll') {
        await touch('Roll, spin or draw')
        game = deviceUsed(game)
      } else {
        const moves = movesOf(game.round)
        if (moves.length === 0) {
          await touch('Nothing fits')
          game = pass(game)
          continue
        }
        chosen++
        const listed = await inGroup('Moves')
        const spots = [...movesBySpot(game)]
        // By its place on the table and from the list in turn, where there are both.
        const [spot, move] = spots[chosen % Math.max(1, spots.length)] ?? []
        if (spot !== undefined && (listed.length === 0 || chosen % 2 === 0)) {
          await tap(await person.driver.findElement(By.css(`[data-live="${spot}"]`)))
          game = chooseMove(game, move)
        } else {
          const at = chosen % moves.length
          await tap(listed[at])
          game = chooseMove(game, moves[at])
        }
      }
    }
    if (game.round.phase !== 'over') await touch('Stop here')
    await reads('What was practised')
    const rows = await person.driver.executeScript<string[][]>(() =>
      [...document.querySelectorAll('.try-summary tbody tr')].map((row) =>
        [...row.querySelectorAll('td')].map(({ textContent }) => textContent!),
      ),
    )
    expect(new Map(rows.map(([step, right]) => [step, right]))).toEqual(
      new Map([...tally].map(([step, { right, of }]) => [step, `${right} of ${of}`])),
    )
    const told = await person.driver.executeScript<string[]>(() =>
      [...document.querySelectorAll('.try-summary li')].map(({ textContent }) => textContent!.trim()),
    )
    expect(told.sort()).toEqual(
      [...reasons].map(([reason, count]) => (count > 1 ? `${reason} ${count} times.` : reason)).sort(),
    )
    expect(asked).toBeGreaterThan(2)
    expect([...reasons.values()].reduce((sum, count) => sum + count, 0)).toBeGreaterThan(0)
  })
})

test('a quick look lasts as long as its level says, to the frame', async () => {
  const { levels, players, table } = gameOf('quick-look')
  await person.goTo(`${base}/try/quick-look?seed=5`)
  await reads('Use the device.')
  // The frames that the browser draws meanwhile, and when what lies on the table changes.
  await person.driver.executeScript(() => {
    const seen = Object.assign(window, { frames: [] as number[], changes: [] as number[] })
    requestAnimationFrame(function tick(now) {
      seen.frames.push(now)
      requestAnimationFrame(tick)
    })
    new MutationObserver(() => seen.changes.push(performance.now())).observe(
      document.querySelector('.show-board')!,
      { subtree: true, childList: true },
    )
  })
  const game = deviceUsed(
    beginTrying('quick-look', levels[0].params, players.min, players.min > 1 ? 'novice' : 'alone', 5),
  )
  const { milliseconds } = table.glimpse!(game.round.state)!
  await person.keys(Key.SPACE)
  await person.waitFor(async () => (await person.all('[data-shown-for]')).length > 0, 'the end of the look')
  const { told, frames, changes } = await person.driver.executeScript<{
    told: number
    frames: number[]
    changes: number[]
  }>(() => {
    const { frames, changes } = window as typeof window & { frames: number[]; changes: number[] }
    return {
      told: Number(document.querySelector<HTMLElement>('[data-shown-for]')!.dataset.shownFor),
      frames,
      changes,
    }
  })
  // A frame as long as the longest of this look: the machine may be slow.
  const frame = Math.max(...frames.slice(1).map((at, i) => at - frames[i]))
  expect(told).toBeGreaterThanOrEqual(milliseconds)
  expect(told - milliseconds).toBeLessThanOrEqual(frame)
  const lay = changes.at(-1)! - changes[0]
  expect(Math.abs(lay - told)).toBeLessThanOrEqual(3 * frame)
})
