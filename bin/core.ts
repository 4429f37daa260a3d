import { readFileSync } from 'node:fs'
import { z } from 'zod'
import { verbs } from './core/verbs'

/** The core as a command line: `npm run --silent core -- VERB < input.json`. See docs/core-cli.md. */
function main(): number {
  const [name] = process.argv.slice(2)
  const verb = name === undefined ? undefined : verbs[name]
  if (!verb) {
    process.stderr.write(
      `verb: ${name ? `“${name}” is not a verb.` : 'missing.'} Verbs: ${Object.keys(verbs).join(', ')}.\n`,
    )
    return 2
  }
  let input: unknown
  try {
    input = JSON.parse(process.stdin.isTTY ? '{}' : readFileSync(0, 'utf8') || '{}')
  } catch (error) {
    process.stderr.write(`input: not JSON: ${(error as Error).message}\n`)
    return 2
  }
  try {
    process.stdout.write(`${JSON.stringify(verb(input))}\n`)
    return 0
  } catch (error) {
    if (error instanceof z.ZodError) {
      for (const { path, message } of error.issues)
        process.stderr.write(`${path.join('.') || 'input'}: ${message}\n`)
      return 2
    }
    process.stderr.write(`${(error as Error).stack}\n`)
    return 1
  }
}

process.exitCode = main()
