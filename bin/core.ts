import { answered } from './core/answered'

/** The core as a command line: `npm run --silent core -- VERB < input.json`. See docs/core-cli.md. */
async function main(): Promise<number> {
  const { status, out, said } = await answered(process.argv[2], () =>
    process.stdin.isTTY ? Promise.resolve('') : allOf(process.stdin),
  )
  process.stderr.write(said)
  await written(out)
  return status
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
