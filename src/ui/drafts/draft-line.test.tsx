import { doable, readIn } from '../testing/markup'
import { DraftLine } from './draft-line'

type Draft = Parameters<typeof DraftLine>[0]['draft']

const nothing = () => undefined

const line = (draft: Partial<Draft>, what: 'groups' | 'plan' = 'groups') => (
  <DraftLine
    draft={
      {
        keeping: { state: 'kept', at: '10:02' },
        changed: true,
        canUndo: true,
        canRedo: false,
        keepThis: nothing,
        ...draft,
      } as Draft
    }
    what={what}
    busy={false}
    onShowOther={nothing}
    onUndo={nothing}
    onRedo={nothing}
    onDiscard={nothing}
  />
)

test.each<[Draft['keeping'], string]>([
  [{ state: 'kept', at: '10:02' }, 'Draft, saved 10:02'],
  [{ state: 'keeping' } as Draft['keeping'], 'Draft, saving …'],
  [
    { state: 'away' } as Draft['keeping'],
    'Draft on this screen only: no answer from the server, trying again',
  ],
  [
    { state: 'refused', problems: ['Too many groups.'] } as Draft['keeping'],
    'Draft not saved: Too many groups.',
  ],
])('where it stands: %j', (keeping, words) => {
  expect(readIn(line({ keeping }))).toContain(words)
  expect(doable(line({ keeping }))).toEqual(['Undo', 'Redo', 'Discard draft'])
})

test('never called saved while it is not', () => {
  for (const state of ['keeping', 'away', 'refused'] as const)
    expect(readIn(line({ keeping: { state, problems: [] } as Draft['keeping'] }))).not.toMatch(/, saved \d/)
})

test('taken back to what is in use it says so, and can go forth again; without a draft there is no line', () => {
  expect(readIn(line({ changed: false, canUndo: false, canRedo: true }))).toContain('As in use')
  expect(readIn(line({ changed: false, canUndo: false, canRedo: false }))).toBe('')
})

test('two drafts that met: neither is lost, and either can be gone on with', () => {
  const there = { savedAt: '10:04' }
  const met = line({ keeping: { state: 'other', there } as Draft['keeping'] }, 'plan')
  expect(readIn(met)).toContain('This plan was changed in another place at 10:04. Neither is lost')
  expect(doable(met)).toEqual(['Show the other', 'Go on with mine'])
  const gone = line({ keeping: { state: 'other', there: null } as Draft['keeping'] })
  expect(readIn(gone)).toContain('These groups were taken into use or discarded in another place.')
  expect(doable(gone)).toEqual(['Look at it, let mine go', 'Go on with mine'])
})
