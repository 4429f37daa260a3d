import { z } from 'zod'
import { verbs } from './verbs'

/** What a call of the core's command line comes to. */
interface Answered {
  /** 0: done; 2: verb or input can't be taken, and `said` names the field; 1: a fault of ours. */
  status: 0 | 1 | 2
  /** For standard output: one JSON document and a line's end, or nothing. */
  out: string
  /** For standard error. */
  said: string
}

/** What was given can be of any length, and hold line breaks: told on one line, cut where it is long. */
const mostTold = 300
const onOneLine = (text: string): string => {
  const line = text.replace(/\s+/g, ' ').trim()
  return line.length <= mostTold ? line : `${line.slice(0, mostTold)} …`
}

const refused = (...said: string[]): Answered => ({
  status: 2,
  out: '',
  said: said.map((line) => `${onOneLine(line)}\n`).join(''),
})

/** Answers one verb. @param read the input, read only where there is such a verb; empty: none is given */
export async function answered(name: string | undefined, read: () => Promise<string>): Promise<Answered> {
  const verb = name !== undefined && Object.hasOwn(verbs, name) ? verbs[name] : undefined
  if (!verb)
    return refused(
      `verb: ${name ? `“${name}” is not a verb.` : 'missing.'} Verbs: ${Object.keys(verbs).join(', ')}.`,
    )
  let input: unknown
  try {
    input = JSON.parse((await read()) || '{}')
  } catch (error) {
    return refused(`input: not JSON: ${(error as Error).message}`)
  }
  try {
    return { status: 0, out: `${JSON.stringify(await verb(input))}\n`, said: '' }
  } catch (error) {
    if (!(error instanceof z.ZodError)) return { status: 1, out: '', said: `${(error as Error).stack}\n` }
    return refused(...error.issues.map(({ path, message }) => `${path.join('.') || 'input'}: ${message}`))
  }
}
