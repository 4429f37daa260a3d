import { savedInWords } from './saved-in-words'

const marks = (count: number) => Array.from({ length: count }, () => ({ judged: 'own' })) as never[]
const asides = (count: number) => marks(count).map((entry) => ({ entry, reason: 'No.' }))
const note = { kind: 'note' } as never
type State = Parameters<typeof savedInWords>[0]
const said = (state: Partial<State>) =>
  savedInWords({
    known: true,
    waiting: [],
    aside: [],
    volatile: false,
    offline: false,
    recording: 0,
    ...state,
  })

test.each<[Partial<State>, string]>([
  [{ known: false }, 'Looking what is kept here …'],
  [{ known: false, recording: 1 }, 'Saving 1 mark …'],
  [{ recording: 1 }, 'Saving 1 mark …'],
  [{}, 'All marks saved'],
  [{ waiting: marks(1) }, 'Saving 1 mark …'],
  [{ waiting: marks(4), offline: true }, '4 marks on this device only'],
  [{ waiting: marks(2), offline: true, volatile: true }, '2 marks on this page only: keep it open'],
  [{ aside: asides(1) }, '1 mark not saved'],
  [{ waiting: [...marks(1), note], offline: true }, '2 entries on this device only'],
  [{ waiting: marks(1), aside: asides(1) }, 'Saving 1 mark …'],
])('%#: never said to be saved before it is', (state, words) => {
  expect(said(state)).toBe(words)
})
