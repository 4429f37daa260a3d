import { seededChance, unit } from '../chance/chance'
import { strandIds, strandOf, type StrandId } from '../skills'
import { abilityBelow, abilitySd } from './ability'
import { estimateInputSchema, rebuild, secureLogit } from './estimate'
import { movingUpSchema, type MovingUp } from './moving-up'
import { judgements, type Judgement } from './observation'
import type { Standing } from './own-step'
import { priorOf, surenesses } from './prior'
import type { Seen } from './seen'
import { isPressing, suggest } from './suggestion'
import { rounds } from '../testing/rounds'

const standing = (change: Partial<Standing>): Standing => ({
  seen: marks('own', 'own', 'help'),
  secure: [0.99, 0.9, 0.1],
  struggling: [0, 0.05, 0.6],
  workingStep: 2,
  plays: 1,
  observations: 3,
  sd: 0.8,
  daysSince: 1,
  ...change,
})

/** Marks at step 1, in turn on two days. */
function marks(...judged: Judgement[]): Seen[] {
  return judged.map((one, i) => ({ day: i % 2, step: 1, judged: one }))
}
const onOneDay = (seen: Seen[]) => seen.map((one) => ({ ...one, day: 1 }))
const said = (change: Partial<Standing>, movingUp?: MovingUp) =>
  suggest(standing(change), movingUp).suggestion

test('secure with evidence of two days: may be ready, with what it rests on', () => {
  expect(said({})).toEqual({ kind: 'ready', own: 2, of: 3, days: 2 })
  expect(said({ seen: onOneDay(marks('own', 'own')) })).toMatchObject({
    kind: 'another-look',
    why: 'one-day',
  })
  // However secure the estimate: fewer alone than not bear nobody out.
  expect(said({ seen: marks('own', 'help', 'help') }).kind).not.toBe('ready')
})

test('hard: at least three marks at the step on two days, and less than half right with 85 % certainty', () => {
  const hard = { secure: [0.5, 0.01, 0], struggling: [0.2, 0.85, 1] }
  const kind = (seen: Seen[], more = {}) => said({ ...hard, ...more, seen }).kind
  expect(kind(marks('own', 'notYet', 'help'))).toBe('hard')
  expect(kind(marks('notYet', 'notYet'))).toBe('another-look')
  expect(kind(onOneDay(marks('notYet', 'notYet', 'notYet')))).toBe('another-look')
  expect(kind(marks('own', 'own', 'own'))).toBe('another-look')
  expect(kind(marks('notYet', 'notYet', 'notYet'), { struggling: [0.2, 0.84, 1] })).toBe('another-look')
  // Marks at a harder step don't count against this one.
  const harder = [0, 1, 1].map((day) => ({ day, step: 2, judged: 'notYet' as const }))
  expect(
    suggest(standing({ ...hard, seen: [...harder, ...marks('own', 'own', 'own', 'own')] })),
  ).toMatchObject({
    step: 1,
    suggestion: { kind: 'another-look', own: 4, of: 4 },
  })
})

test('the right step is said of who was seen enough and manages some of it alone', () => {
  const middling = { secure: [0.9, 0.4, 0], struggling: [0, 0.2, 0.8] }
  expect(said({ ...middling, seen: marks('own', 'help', 'own', 'notYet') })).toEqual({
    kind: 'right',
    own: 2,
    of: 4,
    days: 2,
  })
  for (const seen of [
    marks('notYet', 'help', 'notYet'),
    marks('own', 'own'),
    onOneDay(marks('own', 'own', 'help')),
  ])
    expect(said({ ...middling, seen })).toMatchObject({ kind: 'another-look', why: 'not-clear' })
})

test('not seen for two weeks of school, or never', () => {
  const unsure = { secure: [0.9, 0.4, 0] }
  expect(said({ ...unsure, daysSince: 10 })).toEqual({ kind: 'another-look', why: 'not-seen', days: 10 })
  expect(said({ ...unsure, seen: [], daysSince: null })).toEqual({
    kind: 'another-look',
    why: 'not-seen',
    days: null,
  })
  expect(said({ ...unsure, daysSince: 9 }).kind).toBe('right')
})

test('counting: enough of the latest alone on enough days, whatever the estimate says', () => {
  const count = movingUpSchema.parse({ by: 'count', own: 3, of: 4, days: 2 })
  const unsure = { secure: [0.9, 0.2, 0], struggling: [0, 0.3, 0.9] }
  const seen = [...marks('notYet', 'own'), ...marks('own', 'help', 'own')]
  expect(said({ ...unsure, seen }, count)).toEqual({ kind: 'ready', own: 3, of: 4, days: 2 })
  expect(said({ seen: onOneDay(marks('own', 'own', 'own')) }, count).kind).not.toBe('ready')
  expect(movingUpSchema.safeParse({ ...count, own: 5 }).error!.issues[0].path).toEqual(['own'])
})

test('judgement alone: nobody is said to be ready or to find it hard; who was not seen still is', () => {
  const judgement = { by: 'judgement' as const }
  expect(said({}, judgement).kind).toBe('right')
  const hard = {
    secure: [0.5, 0.01, 0],
    struggling: [0.2, 0.85, 1],
    seen: marks('notYet', 'notYet', 'notYet'),
  }
  expect(said(hard, judgement).kind).toBe('another-look')
  expect(said({ daysSince: 12 }, judgement)).toMatchObject({ why: 'not-seen' })
})

test('a child known well is not named because more marks would be welcome; one all of whose marks failed is', () => {
  const pressing = (change: Partial<Standing>) => {
    const one = standing({ secure: [0.9, 0.4, 0], ...change })
    return isPressing(suggest(one).suggestion, one)
  }
  expect(pressing({ seen: marks('own', 'own') })).toBe(false)
  expect(pressing({ seen: marks('own', 'own'), sd: 1.5 })).toBe(true)
  expect(pressing({ seen: marks('notYet', 'notYet') })).toBe(true)
})

/** School days on which a random child may have been marked, three apart. */
const dayCount = 4

/** A random child: where it was placed, and marks at random steps on random days, some of it all alike. */
function randomStanding(seed: number): { standing: Standing; strand: StrandId } {
  const chance = seededChance(seed)
  const next = () => unit(chance)
  const pick = <T>(list: readonly T[]) => list[Math.floor(next() * list.length)]
  const strand = pick(strandIds)
  const { steps } = strandOf(strand)
  const alike = next() < 0.3 ? pick(judgements) : null
  const near = Math.floor(next() * steps.length)
  const history = Array.from({ length: Math.floor(next() * 9) }, () => ({
    day: Math.floor(next() * dayCount),
    step: Math.min(steps.length - 1, Math.max(0, near + Math.floor(next() * 3) - 1)),
    judged: alike ?? pick(judgements),
  })).sort((a, b) => a.day - b.day)
  const difficulties = steps.map(({ difficulty }) => difficulty)
  const placed = { step: pick(steps).id, sureness: pick(surenesses) }
  const { ability } = rebuild(
    estimateInputSchema.parse({
      difficulties,
      prior: priorOf(strand, placed),
      // Time that passes is the slow part: only some of them wait.
      noisePerDay: seed % 10 === 0 ? 0.1 : 0,
      observations: history.map((one) => ({ ...one, day: 3 * one.day })),
    }),
  )
  const secure = difficulties.map((difficulty) => 1 - abilityBelow(ability, difficulty + secureLogit))
  const workingStep = secure.findIndex((probability) => probability < 0.5)
  return {
    strand,
    standing: {
      seen: history,
      secure,
      struggling: difficulties.map((difficulty) => abilityBelow(ability, difficulty)),
      workingStep: workingStep < 0 ? steps.length - 1 : workingStep,
      plays: next() < 0.5 ? Math.floor(next() * steps.length) : null,
      observations: history.length,
      sd: abilitySd(ability),
      daysSince: history.length === 0 ? null : 3,
    },
  }
}

test(`over ${rounds(10_000)} random histories no sentence contradicts the figures that stand in it`, () => {
  const found = new Map<string, number>()
  for (let seed = 1; seed <= rounds(10_000); seed++) {
    const { standing: one } = randomStanding(seed)
    const { step, suggestion } = suggest(one)
    found.set(suggestion.kind, (found.get(suggestion.kind) ?? 0) + 1)
    if (!('of' in suggestion)) continue
    const here = one.seen.filter((mark) => mark.step === step)
    const own = here.filter(({ judged }) => judged === 'own').length
    const problem = `seed ${seed}: ${JSON.stringify({ step, suggestion, here })}`
    if (suggestion.own !== own || suggestion.of !== here.length) throw new Error(problem)
    if (suggestion.kind === 'hard' && (own * 2 >= here.length || here.length < 3)) throw new Error(problem)
    if (suggestion.kind === 'ready' && own * 2 <= here.length) throw new Error(problem)
    if (suggestion.kind === 'right' && (own === 0 || here.every(({ judged }) => judged === 'notYet')))
      throw new Error(problem)
    if (suggestion.kind === 'hard' && one.struggling[step] < 0.8) throw new Error(problem)
  }
  // Each of them is said often enough to have been tried.
  for (const kind of ['ready', 'hard', 'right', 'another-look'])
    expect(found.get(kind)).toBeGreaterThan(rounds(100))
})
