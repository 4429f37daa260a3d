import { exactAnalyses, simulationSpeed, wholeCatalogue } from './games'
import { groupingBesideHighs } from './grouping'
import { planning } from './planning'
import { printing } from './printing'
import { quickCheck } from './quick-check'
import { begin, record } from './report'
import { bundles, screens } from './screens'
import { term } from './term/report'

/** The parts of the bench. Games come first: from cold, before anything else has been analysed. */
const parts: Record<string, () => void | Promise<void>> = {
  games() {
    wholeCatalogue()
    exactAnalyses()
    simulationSpeed()
  },
  async judgement() {
    quickCheck()
    planning()
    await groupingBesideHighs(200)
  },
  term: () => term(200),
  printing,
  async screens() {
    await screens()
    await bundles()
  },
}

/** `npm run bench [-- games | judgement | term | printing | screens] [-- record]`: all parts, or some; `record` keeps them in docs/benchmarks.md. */
async function main() {
  const wanted = process.argv.slice(2)
  const names = Object.keys(parts)
  const chosen = names.filter((name) => wanted.includes(name))
  for (const name of chosen.length > 0 ? chosen : names) {
    begin()
    await parts[name]()
    if (wanted.includes('record')) record(name, names)
  }
}

void main()
