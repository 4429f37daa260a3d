import type { PracticeItem } from './item'

/** Why a child may come to a wrong answer. */
export const slipReasons = [
  'counted-own',
  'one-too-many',
  'one-missed',
  'added',
  'took-away',
  'forgot-the-ten',
  'kept-the-ten',
  'smaller-from-larger',
  'ones-as-tens',
  'digits-turned',
  'looks-alike',
  'teen-or-ty',
  'other-way',
  'by-ones',
  'one-group-less',
  'one-group-more',
  'chose-the-other',
  'named-the-whole',
  'next-hour',
  'hands-swapped',
  'unit-too-long',
  'unit-too-short',
  'unequal-shares',
  'halved-once',
  'not-paired',
  'counted-coins',
  'left-one-coin',
  'all-in-ones',
  'said-the-price',
] as const

export type SlipReason = (typeof slipReasons)[number]

export interface Slip {
  answer: number
  reason: SlipReason
}

/**
 * Wrong answers a child is likely to give, likeliest first, each once, never the right one. Which come
 * first is common practice, no source; that taking the smaller digit from the larger, and losing or
 * keeping a ten, are the usual ones in columns is from memory of Brown & Burton 1978, "Diagnostic models
 * for procedural bugs in basic mathematical skills", Cognitive Science 2.
 */
export function slips(item: PracticeItem): Slip[] {
  const found: Slip[] = []
  const may = (answer: number, reason: SlipReason) => {
    if (!Number.isInteger(answer) || answer < 0 || answer === item.answer) return
    if (!found.some((slip) => slip.answer === answer)) found.push({ answer, reason })
  }
  const { answer } = item
  switch (item.op) {
    case 'add': {
      const { a, b } = item
      const carries = (a % 10) + (b % 10) >= 10
      if (b > 0) may(answer - 1, 'counted-own')
      if (carries && answer >= 20) may(answer - 10, 'forgot-the-ten')
      if (a >= 10 && b > 0 && b < 10) may(a + 10 * b, 'ones-as-tens')
      may(answer + 1, 'one-too-many')
      if (b > 0) may(Math.abs(a - b), 'took-away')
      break
    }
    case 'subtract': {
      const { a, b } = item
      if (a % 10 < b % 10 && a > 10) {
        may(10 * (Math.floor(a / 10) - Math.floor(b / 10)) + ((b % 10) - (a % 10)), 'smaller-from-larger')
        may(answer + 10, 'kept-the-ten')
      }
      if (item.compared) may(a, 'named-the-whole')
      may(answer + 1, 'counted-own')
      may(answer - 1, 'one-too-many')
      if (b > 0) may(a + b, 'added')
      break
    }
    case 'missing': {
      const { part, whole } = item
      if (whole % 10 < part % 10 && whole > 10)
        may(
          10 * (Math.floor(whole / 10) - Math.floor(part / 10)) + ((part % 10) - (whole % 10)),
          'smaller-from-larger',
        )
      if (part % 10 > 0 && whole % 10 === 0 && whole > 10) may(answer + 10, 'kept-the-ten')
      may(answer + 1, 'counted-own')
      may(answer - 1, 'one-missed')
      if (part % 10 === 0 && whole % 10 === 0 && answer > 0) may(answer / 10, 'ones-as-tens')
      may(part + whole, 'added')
      may(whole, 'named-the-whole')
      break
    }
    case 'count':
    case 'see':
      if (answer > 0) may(answer + 1, 'one-too-many')
      may(answer - 1, 'one-missed')
      break
    case 'numeral':
    case 'order':
      if (answer > 12 && answer < 20) may(10 * (answer % 10), 'teen-or-ty')
      if (answer >= 30 && answer <= 90 && answer % 10 === 0) may(10 + answer / 10, 'teen-or-ty')
      if (answer >= 10 && answer < 100) may(10 * (answer % 10) + Math.floor(answer / 10), 'digits-turned')
      if (answer === 6 || answer === 9) may(15 - answer, 'looks-alike')
      if (answer === 2 || answer === 5) may(7 - answer, 'looks-alike')
      may(answer - 1, 'one-missed')
      may(answer + 1, 'one-too-many')
      break
    case 'say': {
      const step = answer >= item.from ? 1 : -1
      may(answer + step, 'one-missed')
      may(answer - 2 * step, 'other-way')
      break
    }
    case 'skip':
      may(answer - item.by + 1, 'by-ones')
      may(answer + item.by, 'one-group-more')
      break
    case 'compare':
      may(item.a === answer ? item.b : item.a, 'chose-the-other')
      break
    case 'neighbour':
      may(item.of - item.by, 'other-way')
      if (Math.abs(item.by) === 10) may(item.of + Math.sign(item.by), 'ones-as-tens')
      else may(item.of, 'counted-own')
      break
    case 'tens':
      may(10 * item.ones + item.tens, 'digits-turned')
      may(item.tens + item.ones, 'ones-as-tens')
      break
    case 'multiply':
      may(item.a + item.b, 'added')
      may((item.a - 1) * item.b, 'one-group-less')
      may((item.a + 1) * item.b, 'one-group-more')
      break
    case 'factor':
      may(item.whole - item.part, 'took-away')
      may(answer - 1, 'one-group-less')
      may(answer + 1, 'one-group-more')
      break
    case 'share':
      may(answer + 1, 'unequal-shares')
      may(answer - 1, 'unequal-shares')
      may(item.total - item.among, 'took-away')
      may(item.total, 'named-the-whole')
      break
    case 'groups':
      may(item.groups + item.size, 'added')
      may(answer - item.size, 'one-group-less')
      may(answer + item.size, 'one-group-more')
      may(answer + 1, 'one-too-many')
      may(answer - 1, 'one-missed')
      break
    case 'part-of':
      if (item.parts === 4) may(item.of / 2, 'halved-once')
      may(answer + 1, 'unequal-shares')
      may(answer - 1, 'unequal-shares')
      may(item.of - item.parts, 'took-away')
      break
    case 'odd-even':
      may(1 - answer, 'not-paired')
      break
    case 'coins':
      may(item.coins.length, 'counted-coins')
      if (item.coins.length > 1) may(answer - Math.min(...item.coins), 'left-one-coin')
      may(answer + 1, 'one-too-many')
      break
    case 'pay':
      may(item.price, 'all-in-ones')
      may(answer + 1, 'one-too-many')
      break
    case 'change':
      may(item.price, 'said-the-price')
      may(answer + 1, 'counted-own')
      may(item.paid + item.price, 'added')
      break
    case 'clock': {
      const { hour, minute } = item
      if (minute >= 30) may((((hour % 12) + 1) % 12) * 60 + minute, 'next-hour')
      // The long hand read as hours, the short one as minutes.
      may((Math.round(minute / 5) % 12) * 60 + (((hour % 12) * 5) % 60), 'hands-swapped')
      break
    }
    case 'pattern':
      may(answer + 1, 'unit-too-long')
      may(answer - 1, 'unit-too-short')
      break
  }
  return found
}

const chosen: readonly PracticeItem['op'][] = ['clock', 'pattern', 'compare', 'odd-even']

/** Answers a screen offers to choose from where none is typed (times, parts of a pattern, one of two, odd or even); else null. */
export function choicesFor(item: PracticeItem): number[] | null {
  if (!chosen.includes(item.op)) return null
  const wrong = slips(item).slice(0, 2)
  return [item.answer, ...wrong.map(({ answer }) => answer)].sort((a, b) => a - b)
}
