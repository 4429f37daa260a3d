import type { ShownWay } from '@/server/room/replan'
import { lossesInWords, wayInWords } from './ways-in-words'

const way = (change: Partial<ShownWay>): ShownWay => ({
  id: 'x',
  kind: 'shorten',
  slots: 3,
  slotMinutes: 8,
  station: null,
  moves: [],
  slot: null,
  joins: null,
  loses: [],
  ...change,
})
const loss = (
  kind: ShownWay['loses'][number]['kind'],
  pennant: number | null,
  what: string | null = null,
) => ({
  kind,
  pennant,
  what,
  minutes: kind === 'minutes' ? 4 : null,
})

test('each way is one sentence', () => {
  expect(wayInWords(way({}))).toBe('Shorten each slot to 8 minutes')
  expect(wayInWords(way({ kind: 'drop-slot', slot: 3 }))).toBe('Leave out slot 3')
  expect(
    wayInWords(
      way({ kind: 'close-station', station: 'Perch', moves: [{ slot: 2, pennant: 0, to: 'Squall' }] }),
    ),
  ).toMatch(/^Close Perch: \w+ to Squall in slot 2$/)
})

test('what is lost is told by who loses it; nothing lost is said as well', () => {
  expect(lossesInWords(way({}))).toEqual(['Nobody misses anything.'])
  const lines = lossesInWords(
    way({
      loses: [
        loss('minutes', null),
        loss('visit', 0, 'Perch'),
        loss('visit', 1, 'Squall'),
        loss('adult', 1),
        loss('strand', 0, 'Order'),
      ],
    }),
  )
  expect(lines).toHaveLength(4)
  expect(lines[0]).toBe('Every slot is 4 minutes shorter.')
  expect(lines[1]).toMatch(/^Missed: \w+ Perch and \w+ Squall\.$/)
  expect(lines[3]).toMatch(/^Not practised today: order by \w+\.$/)
})
