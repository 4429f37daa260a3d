import { spawnSync } from 'node:child_process'
import { readFileSync, rmSync } from 'node:fs'

/** Tests of a property whose rounds are a part in `npm test`. */
const files = [
  'core/evidence/suggestion',
  'core/games/tables',
  'core/grouping/making/make-groups',
  'core/grouping/making/propose',
  'core/grouping/problem/contradiction',
  'core/grouping/regrouping/regrouping.test',
  'core/planning/session/first-plan',
]

interface Report {
  /** False also where a file could not be run at all. */
  success: boolean
  numPassedTests: number
  numFailedTests: number
  testResults: { name: string }[]
}

/** Every round of the properties that `npm test` tries every fourth of. @throws {Error} if one does not hold */
export function properties() {
  const report = '.islands/properties.json'
  spawnSync(
    'npx',
    ['jest', ...files, '--testTimeout=600000', '--json', '--outputFile', report, '--forceExit'],
    {
      env: { ...process.env, ISLANDS_ALL_ROUNDS: '1', NODE_OPTIONS: '--experimental-vm-modules' },
      stdio: ['ignore', 'ignore', 'inherit'],
    },
  )
  const { success, numPassedTests, numFailedTests, testResults } = JSON.parse(
    readFileSync(report, 'utf8'),
  ) as Report
  rmSync(report)
  if (!success) throw new Error(`${numFailedTests} properties do not hold, or a file of them can’t be run.`)
  if (testResults.length !== files.length) throw new Error('Not every file of properties was found.')
  return Promise.resolve({ files: testResults.length, passed: numPassedTests, failed: numFailedTests })
}
