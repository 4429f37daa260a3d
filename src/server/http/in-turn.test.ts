import { inTurn } from './in-turn'

const turns = (count: number) =>
  Array.from({ length: count }).reduce<Promise<void>>(
    (before) => before.then(() => new Promise((resolve) => setImmediate(resolve))),
    Promise.resolve(),
  )

test('what comes together begins in its order, one in a turn, and timers come in between', async () => {
  const begin = inTurn()
  let turn = 0
  let counting = true
  const count = () => {
    turn++
    if (counting) setImmediate(count)
  }
  setImmediate(count)
  const begun: { name: number; turn: number }[] = []
  for (let name = 0; name < 5; name++) begin(() => begun.push({ name, turn }))
  expect(begun).toEqual([])
  await turns(10)
  counting = false
  expect(begun.map(({ name }) => name)).toEqual([0, 1, 2, 3, 4])
  expect(new Set(begun.map(({ turn: at }) => at)).size).toBe(5)
})

test('a work that begins another one holds nobody up, and later ones begin again', async () => {
  const begin = inTurn()
  const begun: string[] = []
  begin(() => {
    begun.push('first')
    begin(() => begun.push('from the first'))
  })
  await turns(4)
  begin(() => begun.push('later'))
  await turns(3)
  expect(begun).toEqual(['first', 'from the first', 'later'])
})
