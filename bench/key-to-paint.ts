import { Person } from '../e2e/support/browser'
import { median, say } from './report'

const presses = 60
/** A key is answered before anybody notices the wait. */
const soonMs = 100

/** Presses keys one after another, each when the picture of the one before has been painted; answers how long each took. */
const pressInPage = `
  const [keys, done] = arguments
  const press = (key) => new Promise((resolve) => {
    const begin = performance.now()
    document.body.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true }))
    requestAnimationFrame(() => {
      const { port1, port2 } = new MessageChannel()
      port1.onmessage = () => resolve(performance.now() - begin)
      port2.postMessage(null)
    })
  })
  const all = async () => {
    const times = []
    for (const key of keys) times.push(await press(key))
    return times
  }
  all().then(done)`

/** From a key to the painted picture on the class screen, beside a key that changes nothing and is painted as well. Goal: 100 ms. */
export async function keyToPaint(url: string, base: string) {
  say()
  say(
    `class screen at 1920 × 1080: from a key to the picture ÷ from a key that does nothing (median of ${presses};`,
  )
  say(`goal: all within ${soonMs} ms)`)
  const person = await Person.at(url, { width: 1920, height: 1080 })
  try {
    await person.driver.manage().setTimeouts({ script: 120_000 })
    for (const path of ['landfall?level=to-100', 'grid-hop?level=to-100', 'card-order', 'five-flags']) {
      await person.goTo(`${base}/show/${path}`)
      await person.find('//*[contains(@class, "show-board")]')
      const press = (keys: readonly string[]) => person.driver.executeAsyncScript<number[]>(pressInPage, keys)
      const nothing = median(await press(Array<string>(presses).fill('F13')))
      // On and back again, so that it never comes to its end.
      const times = await press(Array.from({ length: presses }, (_, i) => (i % 6 < 4 ? ' ' : 'Backspace')))
      const late = times.filter((ms) => ms > soonMs).length
      say(
        `  ${path.padEnd(24)} ${(median(times) / nothing).toFixed(2)}   ${late === 0 ? 'all in time' : `${late} late`}`,
      )
    }
  } finally {
    await person.leave()
  }
}
