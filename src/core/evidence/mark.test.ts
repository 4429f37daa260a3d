import fc from 'fast-check'
import { believedMoment, lastMade, markSchema, sameValue, saysSomething, weightOf } from './mark'

const id = () => crypto.randomUUID()
const mark = (change: object) => ({
  id: id(),
  observer: id(),
  visitId: id(),
  pupilId: id(),
  madeAt: '2026-11-24T10:20:00Z',
  ...change,
})
const problemsOf = (change: object) =>
  markSchema.safeParse(mark(change)).error?.issues.map(({ path }) => path.join('.'))

test.each([
  [{ judged: 'own' }, undefined],
  [{ right: 3, of: 8 }, undefined],
  [{}, undefined],
  [{ right: 3 }, ['of']],
  [{ right: 9, of: 8 }, ['right']],
  [{ judged: 'own', right: 3, of: 8 }, ['judged']],
  [{ judged: 'well' }, ['judged']],
  [{ of: 0, right: 0 }, ['of']],
  [{ madeAt: 'yesterday' }, ['madeAt']],
  [{ id: 'abc' }, ['id']],
])('%j: problems at %j', (change, problems) => {
  expect(problemsOf(change)).toEqual(problems)
})

test('which mark stands does not hang on the order in which they arrive', () => {
  const moment = fc.integer({ min: 0, max: 5 }).map((ms) => new Date(ms))
  const made = fc.record({ id: fc.uuid(), madeAt: moment, storedAt: moment })
  fc.assert(
    fc.property(
      fc.uniqueArray(made, { minLength: 1, maxLength: 6, selector: (one) => one.id }),
      fc.nat(),
      (all, turn) => {
        const other = [...all.slice(turn % all.length), ...all.slice(0, turn % all.length)].reverse()
        const last = lastMade(all)
        expect(lastMade(other)).toBe(last)
        expect(all.every((one) => one.madeAt <= last.madeAt)).toBe(true)
      },
    ),
  )
})

test('a mark lies neither before its session nor in the future, whatever the device’s clock says', () => {
  const at = (time: string) => new Date(`2026-11-24T${time}:00Z`)
  const believed = (said: Date) => believedMoment(said, at('10:15'), at('11:00'))
  expect(believed(at('10:20'))).toEqual(at('10:20'))
  expect(believed(at('09:00'))).toEqual(at('10:15'))
  expect(believed(new Date('2031-01-01'))).toEqual(at('11:00'))
})

test('a value says something, or takes back', () => {
  const nothing = { judged: null, right: null, of: null }
  expect(saysSomething(nothing)).toBe(false)
  expect(saysSomething({ ...nothing, right: 0, of: 4 })).toBe(true)
  expect(sameValue({ ...nothing, judged: 'own' }, { ...nothing, judged: 'help' })).toBe(false)
  expect(sameValue(nothing, { ...nothing })).toBe(true)
})

test('a digital station counts and judges nobody, at a step there is', () => {
  const digital = { strand: 'add', step: 'count-on-10', guess: 0, slips: [] }
  const tally = { right: 3, of: 4, digital }
  expect(weightOf(markSchema.parse(mark(tally)))).toBe(0.8)
  expect(weightOf(markSchema.parse(mark({ judged: 'own' })))).toBe(1)
  expect(problemsOf({ judged: 'own', digital })).toEqual(['judged'])
  expect(problemsOf({ ...tally, digital: { ...digital, step: 'count-on-11' } })).toEqual(['digital.step'])
})
