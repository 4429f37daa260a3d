import type { Advice } from '@/core/analysis/advice'
import type { SeenAt } from '@/core/evidence/seen'
import type { Suggestion } from '@/core/evidence/suggestion'
import type { InZone } from '@/core/grouping/in-zone'
import { stepOf, type StrandId } from '@/core/skills'
import type { NamedFit } from '@/server/suggestions'

/** 0.1504 → “15”. */
export const inHundred = (share: number) => String(Math.round(share * 100))

/** One decimal where it says something: 7.6, 61. */
export const oneDecimal = (value: number) =>
  value < 20 ? value.toFixed(1).replace(/\.0$/, '') : String(Math.round(value))

/** Minutes no finer than they are guessed, to halves: “about half a minute”, “about 1½ minutes”. */
export function minutesInWords(minutes: number): string {
  const halves = Math.max(1, Math.round(2 * minutes))
  if (halves === 1) return 'about half a minute'
  if (halves === 2) return 'about a minute'
  return `about ${Math.floor(halves / 2)}${halves % 2 === 1 ? '½' : ''} minutes`
}

/** “3 of 4 in zone, 1 not known yet” */
export function zoneInShort({ fitting, known, notKnown }: InZone): string {
  if (known === 0) return 'nobody known yet'
  return `${fitting} of ${known} in zone${notKnown > 0 ? `, ${notKnown} not known yet` : ''}`
}

const list = new Intl.ListFormat('en-GB')

/** “Ama, Bruno and Chidi” */
export const listed = (names: readonly string[]) => list.format(names)

/** “1 child”, “2 children”. */
export const many = (count: number, one: string, more = `${one}s`) => `${count} ${count === 1 ? one : more}`

const numbers = ['No', 'One', 'Two', 'Three', 'Four', 'Five', 'Six', 'Seven', 'Eight', 'Nine', 'Ten']

/** A number at the start of a sentence. */
export const spelledAtStart = (count: number) => numbers[count] ?? String(count)
export const spelled = (count: number) => spelledAtStart(count).toLowerCase()

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
  if (schoolDays < 10) return schoolDays === 1 ? 'yesterday' : `${spelled(schoolDays)} school days ago`
  return `${spelled(Math.round(schoolDays / 5))} weeks ago`
}

export const modeInWords = {
  'adult-led': 'with an adult',
  'adult-near': 'adult near',
  own: 'on their own',
} as const

/** “3 of 5 alone”, “none of 4 alone”. */
const aloneInWords = ({ own, of }: Pick<SeenAt, 'own' | 'of'>) => `${own === 0 ? 'none' : own} of ${of} alone`

/** What is said of a child at its own step, as a clause after the name; its figures stand in it. */
export function reasonInWords(suggestion: Suggestion, strand: StrandId, step: string): string {
  const at = `“${stepOf({ strand, step }).short}”`
  switch (suggestion.kind) {
    case 'ready':
      return `may be ready: ${aloneInWords(suggestion)} at ${at}, on ${spelled(suggestion.days)} ${suggestion.days === 1 ? 'day' : 'days'}`
    case 'hard':
      return `finds ${at} hard: ${aloneInWords(suggestion)}, on ${spelled(suggestion.days)} days`
    case 'right':
      return `works at the right step: ${aloneInWords(suggestion)} at ${at}`
    case 'another-look':
      return lookInWords(suggestion, at)
  }
}

function lookInWords(look: Extract<Suggestion, { kind: 'another-look' }>, at: string): string {
  switch (look.why) {
    case 'one-day':
      return `looks secure at ${at}: ${aloneInWords(look)}, but on one day only; one more look`
    case 'not-clear':
      return look.of === 0
        ? `nothing seen at ${at} yet; one check would help`
        : look.of < 3
          ? `was seen at ${at}: ${aloneInWords(look)}; too little to say more, one check would help`
          : `was seen at ${at}: ${aloneInWords(look)}; not clear yet, one check would help`
    case 'not-seen':
      return look.days === null
        ? 'nothing seen yet; one look would help'
        : `last seen ${agoInWords(look.days)}; one look would help`
  }
}

/** “8 in 10”. */
const inTen = (share: number) => `${Math.round(share * 10)} in 10`

/** What to play with a child who may be ready, or finds its step hard: a sentence of its own. */
export function fitInWords(fits: NamedFit): string {
  switch (fits.kind) {
    case 'as-now':
      return `${fits.game}, ${fits.level}, still fits: ${inTen(fits.success)} right alone.`
    case 'other-level':
      return `${fits.game}, ${fits.level}, would fit: ${inTen(fits.success)} right alone.`
    case 'other-game':
      return `No level of ${fits.playsNow} fits now. ${fits.game}, ${fits.level}, would: ${inTen(fits.success)} right alone.`
    case 'none':
      return `No level of any game fits now.`
  }
}

function shorter(before: number | null, after: number | null): string {
  if (before === null || after === null) return ''
  return oneDecimal(before) === oneDecimal(after)
    ? 'The game stays as long.'
    : `${oneDecimal(after)} goes instead of ${oneDecimal(before)}.`
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
    'fewer-spaces': `Make it ${spelled(amount ?? 0)} spaces`,
    'fewer-hazards': amount === 1 ? 'Only one squall' : `Only ${spelled(amount ?? 0)} squalls`,
    'fewer-blanks': 'One blank in each row',
    'use-neighbour': 'Taken? Use the one next door',
    'fewer-cards': `Use ${amount} cards`,
    'fewer-rounds': amount === undefined ? 'Make it shorter' : `Stop after ${amount}`,
    'fewer-tokens': `Play with ${spelled(amount ?? 0)}`,
    'shorter-track': `A shorter way: ${amount}`,
    'another-device': 'Change what decides the go',
    'smaller-sets': `Play in sets of ${spelled(amount ?? 0)}`,
  }[change]
  const found =
    why === 'finishes'
      ? `Finishes ${inHundred(after.finishInSlot ?? 0)} times in 100 instead of ${inHundred(before.finishInSlot ?? 0)}.`
      : why === 'less-dead'
        ? `In ${inHundred(before.deadShare)} of 100 goes a child can only wait; then in ${inHundred(after.deadShare) === '0' ? 'none' : inHundred(after.deadShare)}. ${shorter(before.goes, after.goes)}`
        : `A child waits ${inHundred(after.waitingShare)} % of the time instead of ${inHundred(before.waitingShare)} %.`
  return { heading, found }
}

/** By whose pace minutes are told; null: by the usual one, as nothing else is known. */
export function paceInWords({ factor, games }: { factor: number; games: number }): string | null {
  if (games === 0) return null
  const from = `from ${many(games, 'timed game')}`
  const percent = Math.round(Math.abs(factor - 1) * 100)
  if (percent === 0) return `At this class’s own pace, which is the usual one (${from}).`
  return `At this class’s own pace: ${percent} % ${factor > 1 ? 'longer' : 'shorter'} than usual (${from}).`
}
