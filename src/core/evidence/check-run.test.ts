import { seededChance } from '../chance/chance'
import { stepIndex, strandOf, type StrandId } from '../skills'
import { taskFor } from '../skills/tasks'
import { stimulusFor } from '../teaching/stimulus'
import { abilityMean, normalAbility } from './ability'
import { checkAfter, type CheckAnswer } from './check-run'
import { difficultiesOf } from './history'
import { judgements } from './observation'
import { probe, probeInputSchema } from './quick-check'

const prior = { mean: 3, sd: 2 }
const beliefsOn = (...strands: StrandId[]) =>
  new Map(
    strands.map((strand) => [strand, { ability: normalAbility(difficultiesOf(strand), prior), day: 0 }]),
  )
const judged = (place: CheckAnswer['place'], i: number): CheckAnswer => ({
  place,
  value: { judged: judgements[i], right: null, of: null },
})

test('on one strand a check asks what the verb `probe` asks for the same answers, to its end', () => {
  // A ladder without rungs put in between: there the next step is a whole step off, which is what each calls near.
  const chance = seededChance(3)
  for (let round = 0; round < 30; round++) {
    const answers: CheckAnswer[] = []
    for (;;) {
      const { next } = checkAfter(beliefsOn('place'), answers, 60)
      const asked = probe(
        probeInputSchema.parse({
          difficulties: [...difficultiesOf('place')],
          prior,
          observations: answers.map(({ place, value }) => ({
            day: 0,
            step: stepIndex(place),
            judged: value!.judged!,
            weight: 1,
          })),
        }),
      )
      expect(next ? stepIndex(next) : null).toBe(asked.step)
      if (!next) break
      answers.push(judged(next, chance.int(0, 2)))
    }
    expect(answers.length).toBeGreaterThan(1)
    expect(answers.length).toBeLessThanOrEqual(8)
  }
})

test('a strand that is skipped is left alone; five minutes hold eight tasks; an answer taken back was never given', () => {
  const beliefs = beliefsOn('add', 'count')
  const first = checkAfter(beliefs, [], 5).next!
  const skipped = checkAfter(beliefs, [{ place: first, value: null }], 5)
  expect(skipped.next!.strand).not.toBe(first.strand)
  expect(skipped.strands.find(({ strand }) => strand === first.strand)!.over).toBe('skipped')
  const answers: CheckAnswer[] = []
  for (;;) {
    const { next } = checkAfter(beliefs, answers, 5)
    if (!next) break
    expect(checkAfter(beliefs, [...answers, judged(next, 2)].slice(0, -1), 5).next).toEqual(next)
    // Now alone, now not yet: nothing is sure for long.
    answers.push(judged(next, answers.length % 2 === 0 ? 0 : 2))
  }
  expect(answers.length).toBeLessThanOrEqual(8)
  expect(checkAfter(beliefs, answers, 30).strands.every(({ check }) => check.asked > 0)).toBe(true)
})

test('a tally moves the belief as its answers do', () => {
  const beliefs = beliefsOn('add')
  const { next } = checkAfter(beliefs, [], 5)
  const mean = (right: number) => {
    const run = checkAfter(beliefs, [{ place: next!, value: { judged: null, right, of: 5 } }], 5)
    return abilityMean(run.strands[0].check.belief.ability)
  }
  for (let right = 1; right <= 5; right++) expect(mean(right)).toBeGreaterThan(mean(right - 1))
})

test('every step has a task whose stimulus shows what is asked for, and only a glance at what is to be seen at once', () => {
  const chance = seededChance(1)
  const seen: string[] = []
  for (const strand of new Set<StrandId>([
    'numerals',
    'how-many',
    'order',
    'place',
    'time',
    'pattern',
    'facts',
  ]))
    for (const { id } of strandOf(strand).steps) {
      const { item } = taskFor({ strand, step: id }, chance)
      const stimulus = stimulusFor(item)
      // What is to be written is heard, not seen.
      if (item.op === 'numeral' && item.write) expect(stimulus).toBeNull()
      else if (item.op === 'numeral') expect(stimulus!.faces).toEqual([{ kind: 'numeral', n: item.answer }])
      if (item.op === 'see') expect(stimulus).toMatchObject({ seconds: 2, faces: [{}] })
      else if (stimulus) expect(stimulus.seconds).toBeNull()
      if (item.op === 'compare') expect(stimulus!.faces).toHaveLength(2)
      if (item.op === 'tens') expect(stimulus!.faces).toEqual([{ kind: 'numeral', n: item.answer }])
      // The answer isn’t seen: the child sets the clock, and knows the fact.
      if (item.op === 'clock' || item.op === 'multiply') expect(stimulus).toBeNull()
      if (stimulus) seen.push(id)
    }
  expect(seen.length).toBeGreaterThan(15)
})
