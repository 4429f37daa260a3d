import type { Advice } from '@/core/analysis/advice'
import type { Suggestion } from '@/core/evidence/moving-up'
import { stepOf, type StrandId } from '@/core/skills'

/** 0.1504 → “15”. */
export const hundredths = (share: number) => String(Math.round(share * 100))

/** One decimal where it says something: 7.6, 61. */
export const few = (value: number) =>
  value < 20 ? value.toFixed(1).replace(/\.0$/, '') : String(Math.round(value))

/** “1 child”, “2 children”. */
export const many = (count: number, one: string, more = `${one}s`) => `${count} ${count === 1 ? one : more}`

const numbers = ['No', 'One', 'Two', 'Three', 'Four', 'Five', 'Six', 'Seven', 'Eight', 'Nine', 'Ten']

/** A number at the start of a sentence. */
export const capital = (count: number) => numbers[count] ?? String(count)
export const lower = (count: number) => capital(count).toLowerCase()

const longDay = new Intl.DateTimeFormat('en-GB', {
  weekday: 'long',
  day: 'numeric',
  month: 'long',
  timeZone: 'UTC',
})
const shortDay = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', timeZone: 'UTC' })

/** “Tuesday 24 November”. */
export const dayInWords = (day: string) => longDay.format(new Date(`${day}T00:00:00Z`))
/** “24 Nov”. */
export const dayInShort = (day: string) => shortDay.format(new Date(`${day}T00:00:00Z`))

/** “three days ago”, “today”, in school days. */
export function agoInWords(schoolDays: number): string {
  if (schoolDays <= 0) return 'today'
  if (schoolDays < 10) return schoolDays === 1 ? 'yesterday' : `${lower(schoolDays)} school days ago`
  return `${lower(Math.round(schoolDays / 5))} weeks ago`
}

export const modeInWords = {
  'adult-led': 'with an adult',
  'adult-near': 'adult near',
  own: 'on their own',
} as const

/** Why a child is worth looking at, as a clause after the name. */
export function reasonInWords(suggestion: Suggestion, strand: StrandId, step: string): string {
  const at = stepOf({ strand, step }).short
  switch (suggestion.kind) {
    case 'ready':
      return `may be ready: ${suggestion.own} of ${suggestion.of} alone at “${at}”, over ${lower(suggestion.days)} days`
    case 'step-back':
      return `finds “${at}” hard: ${suggestion.own} of ${suggestion.of} alone; an easier level may help`
    case 'another-look':
      if (suggestion.why === 'secure-but-one-day')
        return `looks secure at “${at}”, but seen on only ${many(suggestion.days, 'day')}; one more look`
      return suggestion.days === null
        ? 'nothing seen yet; one look would help'
        : `last seen ${agoInWords(suggestion.days)}; one look would help`
    case 'stay':
      return `works at the right step: “${at}”`
  }
}

function shorter(before: number | null, after: number | null): string {
  if (before === null || after === null) return ''
  return few(before) === few(after)
    ? 'The game stays as long.'
    : `${few(after)} goes instead of ${few(before)}.`
}

/** Advice as a heading and the sentence that says what was found by trying it. */
export function adviceInWords({ change, amount, why, before, after }: Advice): {
  heading: string
  found: string
} {
  const heading = {
    'let-passing-count': 'Let passing the goal count',
    'bounce-back': 'Bounce back from the goal',
    'one-die-near-goal': 'One die near the goal',
    'fewer-spaces': `Make it ${lower(amount ?? 0)} spaces`,
    'fewer-hazards': amount === 1 ? 'Only one squall' : `Only ${lower(amount ?? 0)} squalls`,
    'fewer-blanks': 'One blank in each row',
    'use-neighbour': 'Taken? Use the one next door',
    'fewer-cards': `Use ${amount} cards`,
    'fewer-rounds': amount === undefined ? 'Make it shorter' : `Stop after ${amount}`,
    'fewer-tokens': `Play with ${lower(amount ?? 0)}`,
    'shorter-track': `A shorter way: ${amount}`,
    'another-device': 'Change what decides the go',
    'smaller-sets': `Play in sets of ${lower(amount ?? 0)}`,
  }[change]
  const found =
    why === 'finishes'
      ? `Finishes ${hundredths(after.finishInSlot ?? 0)} times in 100 instead of ${hundredths(before.finishInSlot ?? 0)}.`
      : why === 'less-dead'
        ? `${hundredths(before.deadShare)} in 100 goes are spent waiting; then ${hundredths(after.deadShare) === '0' ? 'none' : hundredths(after.deadShare)}. ${shorter(before.goes, after.goes)}`
        : `A child waits ${hundredths(after.waitingShare)} % of the time instead of ${hundredths(before.waitingShare)} %.`
  return { heading, found }
}
