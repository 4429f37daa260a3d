import { analyseInputSchema, simulationOf } from '@/core/analysis/analyse'
import { simulateAll } from '@/core/analysis/simulate'
import { mean } from '@/core/chance/distribution'
import { Person } from '../e2e/support/browser'
import { say, timed } from './report'

const games = 20_000

/** Clicks the button, waits for the figures, and answers how long that took and the mean that is shown. */
const playInPage = `
  const done = arguments[0]
  const start = performance.now()
  const panel = document.querySelector('.simulation')
  new MutationObserver((_, observer) => {
    const shown = panel.querySelector('[data-simulated]')
    if (!shown) return
    observer.disconnect()
    done({ milliseconds: performance.now() - start, goes: Number(shown.dataset.simulated) })
  }).observe(panel, { childList: true, subtree: true })
  panel.querySelector('button').click()`

/** The worker of the game page, its start included, beside the same games played in Node. */
export async function browserWorker(url: string, base: string) {
  say()
  say(`web worker of the game page (started, ${games} games, figures shown) ÷ the same games in Node`)
  const person = await Person.at(url)
  try {
    await person.driver.manage().setTimeouts({ script: 120_000 })
    for (const [game, level] of [
      ['landfall', 'to-20-die'],
      ['tower-bay', 'die'],
      ['dice-run', 'dice-4'],
    ]) {
      const input = analyseInputSchema.parse({ game, level, players: 2, games })
      const own = simulateAll(simulationOf(input))
      const node = timed(() => simulateAll(simulationOf(input)), 3)
      await person.goTo(`${base}/games/${game}?level=${level}&players=2&view=figures`)
      await person.find('//section[contains(@class, "simulation")]//button')
      const { milliseconds, goes } = await person.driver.executeAsyncScript<{
        milliseconds: number
        goes: number
      }>(playInPage)
      if (goes !== mean(own.goes!)) throw new Error(`${game}: the worker plays another game than Node.`)
      say(`  ${`${game} ${level}`.padEnd(28)} ${(milliseconds / node).toFixed(2)}   the same mean goes`)
    }
  } finally {
    await person.leave()
  }
}
