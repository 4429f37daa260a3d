import { suggestFor, suggestInputSchema } from './suggest-input'

const said = (input: object) =>
  suggestFor(suggestInputSchema.parse({ strand: 'add', yearGroup: 'Year 1', onDay: 9, ...input }))
const marks = (...judged: string[]) =>
  judged.map((one, i) => ({ day: 2 + (i % 3), step: 'count-on-10', judged: one }))

test('not begun, placed only, known: what is said grows with what was seen', () => {
  expect(said({})).toEqual({ state: 'not-begun', step: null, rightAlone: null, because: [] })
  expect(said({ placement: { step: 'count-on-10', sureness: 'sure' } }).state).toBe('unknown')
  expect(said({ observations: marks('own', 'help', 'own', 'notYet', 'own', 'help') })).toMatchObject({
    state: 'working',
    step: 'count-on-10',
    because: expect.arrayContaining([{ marks: { own: 3, of: 6, days: 3 } }]) as unknown,
  })
})

test('ready and hard come with the figures that bear them out; a class may count instead', () => {
  const ready = said({ observations: marks(...Array<string>(9).fill('own')) })
  expect(ready.state).toBe('ready')
  expect(ready.rightAlone).toBeGreaterThan(0.8)
  const hard = said({ observations: marks('notYet', 'notYet', 'help', 'notYet') })
  expect(hard).toMatchObject({ state: 'hard', step: 'count-on-10' })
  expect(hard.rightAlone).toBeLessThan(0.5)

  const four = { observations: marks('own', 'own', 'own', 'notYet') }
  expect(said({ ...four, policy: { own: 3, of: 4, days: 2 } }).state).toBe('ready')
  expect(said({ ...four, policy: { own: 4, of: 4, days: 2 } }).state).not.toBe('ready')
  const judged = said({ observations: marks(...Array<string>(9).fill('own')), policy: 'judgement' })
  expect(judged.state).not.toBe('ready')
})

test('what an adult did not see moves the estimate, but is no mark of the sentence', () => {
  const sheet = { day: 3, step: 'count-on-10', right: 9, of: 10, weight: 0.5 }
  const { because, rightAlone } = said({ observations: [sheet] })
  expect(because[0]).toEqual({ marks: { own: 0, of: 0, days: 0 } })
  expect(rightAlone).toBeGreaterThan(0)
})

test.each([
  [
    'a step of another strand',
    { observations: [{ day: 1, step: 'hour', judged: 'own' }] },
    'observations.0.step',
  ],
  [
    'a record of tomorrow',
    { observations: [{ day: 10, step: 'count-on-10', judged: 'own' }] },
    'observations.0.day',
  ],
  [
    'both a mark and a tally',
    { observations: [{ day: 1, step: 'count-on-10', judged: 'own', right: 1, of: 2 }] },
    'observations.0.judged',
  ],
  ['a placement nowhere', { placement: { step: 'hour', sureness: 'sure' } }, 'placement.step'],
  ['more wanted than counted', { policy: { own: 5, of: 4, days: 1 } }, 'policy.own'],
])('%s is refused by its field', (_what, input, path) => {
  const parsed = suggestInputSchema.safeParse({ strand: 'add', yearGroup: 'Year 1', onDay: 9, ...input })
  expect(parsed.error!.issues.map((issue) => issue.path.join('.'))).toContain(path)
})
