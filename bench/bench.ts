import { writeFileSync } from 'node:fs'
import { cpus } from 'node:os'
import { exactAnalyses, simulationSpeed, wholeCatalogue } from './games'
import { groupingBesideHighs } from './grouping'
import { planning } from './planning'
import { quickCheck } from './quick-check'
import { report, say } from './report'
import { bundles, screens } from './screens'

/** `npm run bench [-- games | judgement | screens] [-- record]`: everything, or a part; `record` keeps it in docs/benchmarks.md. */
async function main() {
  const wanted = process.argv.slice(2)
  const part = (name: string) => !wanted.some((word) => word !== 'record') || wanted.includes(name)
  say(
    `${new Date().toISOString().slice(0, 10)}, Node ${process.version}, ${cpus().length} × ${cpus()[0].model.trim()}`,
  )
  say('Ratios within one run: machines differ and are shared, so no time is told.')
  // From cold: before anything else has been analysed.
  if (part('games')) {
    wholeCatalogue()
    exactAnalyses()
    simulationSpeed()
  }
  if (part('judgement')) {
    quickCheck()
    planning()
    await groupingBesideHighs(200)
  }
  if (part('screens')) {
    say()
    await screens()
    await bundles()
  }
  if (wanted.includes('record'))
    writeFileSync(
      'docs/benchmarks.md',
      `# Benchmarks\n\nWritten by \`npm run bench -- record\`.\n\n\`\`\`\n${report()}\n\`\`\`\n`,
    )
}

void main()
