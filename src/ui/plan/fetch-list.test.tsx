import { readIn, markupOf, doable } from '../testing/markup'
import { FetchList } from './fetch-list'

type View = Parameters<typeof FetchList>[0]['view']
type Need = View['shelf'][number]

const need = (change: Partial<Need>): Need =>
  ({ item: 'die', count: 4, spare: 0, have: null, short: 0, instead: [], ...change }) as Need

const list = (shelf: Need[], print: Need[] = [], printAt: string | null = null) => (
  <FetchList view={{ shelf, print }} onCount={() => undefined} printAt={printAt} />
)

test('what is needed stands beside what there is; what was never counted is open', () => {
  const said = readIn(list([need({ count: 4, have: 6 }), need({ item: 'cube', count: 49, spare: 5 })]))
  expect(said).toMatch(/die 4/)
  expect(said).toMatch(/cube 49 5 spare/)
  expect(said).not.toContain('short')
  const markup = markupOf(list([need({ have: 6 }), need({ item: 'cube' })]))
  expect(markup).toMatch(/aria-label="die: how many you have"[^>]*value="6"/)
  expect(markup).toMatch(/aria-label="cube: how many you have"[^>]*value=""/)
})

test('what is short says by how many, what to take instead, and each caution once', () => {
  const said = readIn(
    list([
      need({
        item: 'counter',
        count: 40,
        have: 30,
        short: 10,
        instead: [
          { item: 'cube', count: 10, caution: 'Small parts.' },
          { item: 'bottle cap', count: null, caution: 'Small parts.' },
          { item: 'pebble', count: null, caution: undefined },
        ] as Need['instead'],
      }),
    ]),
  )
  expect(said).toContain('10 short: take 10 × cube, else bottle cap or pebble')
  expect(said.match(/Small parts\./g)).toHaveLength(1)
})

test('where nothing on the shelf would do, what else would is named alone', () => {
  const instead = [{ item: 'number cards', count: null, caution: undefined }] as Need['instead']
  expect(readIn(list([need({ short: 2, have: 2, instead })]))).toContain('2 short: use number cards')
  expect(readIn(list([need({ short: 2, have: 2 })]))).toMatch(/2 short 4/)
})

test('what is printed is counted; its pages are a step away once the plan is kept', () => {
  const print = [need({ item: 'ten frame', count: 6 }), need({ item: 'task card', count: 2 })]
  expect(readIn(list([], print))).toContain('6 × ten frame, 2 × task card')
  expect(doable(list([], print))).toEqual([])
  expect(doable(list([], print, '/c/class/print'))).toEqual(['To the pages'])
  expect(readIn(list([], []))).toContain('To print Nothing.')
})
