import { z } from 'zod'
import de from './de.json'
import en from './en.json'
import fr from './fr.json'

const words = z.string().min(1).max(300)

/** The letter of a home kit: a text file for each language; another one is another file with the same words. */
const letterSchema = z.strictObject({
  language: words,
  title: words,
  hello: words,
  /** Holds {name}, the child's. */
  why: words.includes('{name}'),
  need: words,
  cut: words,
  how: words,
  lookTitle: words,
  helpTitle: words,
  moreTitle: words,
  talkTitle: words,
  kind: words,
  small: words,
  bye: words,
})

export type Letter = z.infer<typeof letterSchema>

export const languages = ['en', 'de', 'fr'] as const
export type Language = (typeof languages)[number]

export const letters: Record<Language, Letter> = {
  en: letterSchema.parse(en),
  de: letterSchema.parse(de),
  fr: letterSchema.parse(fr),
}
