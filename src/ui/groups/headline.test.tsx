import { doable, readIn } from '../testing/markup'
import { Headline } from './headline'

const resting = { busy: false, doing: 'groups' as const, done: 0, stop: () => undefined }

const headline = (change: Partial<Parameters<typeof Headline>[0]>) => (
  <Headline
    classId="class"
    title="19 of 26 in their zone; one level for all: 7"
    game="Landfall"
    mode="similar"
    version={{ number: 4, day: '2026-11-17' } as never}
    changed={false}
    search={resting}
    busy={false}
    suggested={false}
    onSave={() => undefined}
    onSuggest={() => undefined}
    {...change}
  >
    {null}
  </Headline>
)

test('groups in use: which version, since when, and moves as the next thing', () => {
  expect(readIn(headline({}))).toContain('Landfall · version 4, since 17 Nov')
  expect(doable(headline({}))).toEqual(['Games for home', 'To the plan', 'Suggest moves'])
})

test('a first proposal and changed groups are not in use yet: that is the next thing', () => {
  const first = headline({ version: null, changed: true })
  expect(readIn(first)).toContain('a first proposal, not in use yet')
  expect(doable(first)).toEqual(['Use these groups'])
  expect(readIn(headline({ changed: true }))).toContain('changed from version 4, not in use yet')
  expect(doable(headline({ changed: true, busy: true }))).toEqual(['One moment …'])
})

test('while a search is on, it can be stopped, and nothing else is offered', () => {
  for (const doing of ['groups', 'moves'] as const) {
    const searching = headline({ search: { ...resting, busy: true, doing, done: 0.4 } })
    expect(doable(searching)).toEqual(['Stop'])
    expect(readIn(searching)).toContain(doing === 'moves' ? 'Looking for moves …' : 'Trying groups …')
  }
})

test('where each child has its own range there are no moves from level to level', () => {
  for (const mode of ['mixed', 'pairs'] as const)
    expect(doable(headline({ mode }))).toEqual(['Games for home', 'To the plan'])
})
