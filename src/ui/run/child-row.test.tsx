import { markupOf, readIn } from '../testing/markup'
import { ChildRow } from './child-row'

type Props = Parameters<typeof ChildRow>[0]
type Mark = Props['others'][number]

const row = (change: Partial<Props>) => (
  <ChildRow
    child={{ id: 'ama', name: 'Ama', own: undefined } as Props['child']}
    moved={null}
    away={false}
    mark={undefined}
    others={[]}
    enabled
    row="ama"
    stop="ama"
    onFocus={() => undefined}
    onTap={() => undefined}
    onOpen={() => undefined}
    {...change}
  />
)

const by = (part: Partial<Mark>): Mark =>
  ({ judged: null, right: null, of: null, digital: null, ...part }) as Mark

/** Which of the three signs stands as pressed. */
const pressed = (change: Partial<Props>) =>
  [...markupOf(row(change)).matchAll(/aria-pressed="true" aria-label="Ama ([^"]*)"/g)].map(([, word]) => word)

test('what was tapped stands pressed, and nothing else', () => {
  expect(pressed({})).toEqual([])
  expect(pressed({ mark: { judged: 'help', right: null, of: null } })).toEqual(['with help'])
})

test('a tally, an own level, a move and what others saw stand side by side: none hides another', () => {
  const said = readIn(
    row({
      child: { id: 'ama', name: 'Ama', own: { range: '0 to 10' } } as Props['child'],
      moved: 'to Kelp',
      mark: { judged: null, right: 3, of: 4 },
      others: [by({ judged: 'notYet' }), by({ right: 2, of: 5 })],
    }),
  )
  expect(said).toBe('Ama 3 of 4 · to Kelp · 0 to 10 · also: not yet, 2 of 5')
})

test('goes at the digital station are counted together, apart from what an adult saw', () => {
  const others = [
    by({ digital: 'a' as never, right: 6, of: 8 }),
    by({ digital: 'b' as never, right: 3, of: 4 }),
  ]
  expect(readIn(row({ others }))).toBe('Ama digital: 9 of 12')
})

test('who is away is called away and can’t be marked', () => {
  expect(readIn(row({ away: true, mark: { judged: null, right: 3, of: 4 } }))).toBe('Ama away')
  expect(markupOf(row({ away: true })).match(/class="mark"[^>]*disabled/g)).toHaveLength(3)
  expect(markupOf(row({ enabled: false })).match(/class="mark"[^>]*disabled/g)).toHaveLength(3)
})

test('one row at a time is reached by the tabulator: the others by arrows', () => {
  expect(markupOf(row({})).match(/tabindex="0"/gi)).toHaveLength(4)
  expect(markupOf(row({ stop: 'bo' })).match(/tabindex="-1"/gi)).toHaveLength(4)
})
