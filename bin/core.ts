import { z } from 'zod'
import { verbs } from './core/verbs'

/** The core as a command line: `npm run --silent core -- VERB < input.json`. See docs/core-cli.md. */
async function main(): Promise<number> {
  const [name] = process.argv.slice(2)
  const verb = name !== undefined && Object.hasOwn(verbs, name) ? verbs[name] : undefined
  if (!verb) {
    process.stderr.write(
      `verb: ${name ? `“${name}” is not a verb.` : 'missing.'} Verbs: ${Object.keys(verbs).join(', ')}.\n`,
    )
    return 2
  }
  let input: unknown
  try {
    input = JSON.parse(process.stdin.isTTY ? '{}' : (await allOf(process.stdin)) || '{}')
  } catch (error) {
    process.stderr.write(`input: not JSON: ${(error as Error).message}\n`)
    return 2
  }
  try {
    await written(`${JSON.stringify(await verb(input))}\n`)
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

/** All that comes, however slowly. */
async function allOf(input: NodeJS.ReadStream): Promise<string> {
  const chunks: Buffer[] = []
  for await (const chunk of input) chunks.push(Buffer.from(chunk as Buffer))
  return Buffer.concat(chunks).toString('utf8')
}

/** Resolves when the text is out; who reads only its beginning has had enough. */
const written = (text: string) =>
  new Promise<void>((resolve, reject) => {
    process.stdout.once('error', (error: NodeJS.ErrnoException) =>
      error.code === 'EPIPE' ? resolve() : reject(error),
    )
    process.stdout.write(text, () => resolve())
  })

void main().then((code) => (process.exitCode = code))
