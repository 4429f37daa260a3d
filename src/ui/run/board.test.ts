import type { RunPage, RunVisit } from '@/server/session-board'
import { keyOf, nextRow, notSeen, rowsOf, shortList } from './board'

const station = (id: string) => ({ id }) as RunPage['stations'][number]
const visit = (id: string, stationId: string, ...names: string[]) =>
  ({ id, stationId, seats: [], children: names.map((name) => ({ id: name, name })) }) as unknown as RunVisit

const stations = ['s1', 's2', 's3'].map(station)
const visits = [visit('v1', 's1', 'Ama', 'Bruno'), visit('v3', 's3', 'Cy', 'Dot', 'Eve')]
const columns = rowsOf(stations, visits)
const from = (pupilId: string, key: string) => {
  const at = columns.flat().find((row) => row.pupilId === pupilId)!
  return nextRow(columns, keyOf(at), key)?.pupilId
}

describe('arrows lead from child to child', () => {
  test('down and up through everybody, from one station into the next and round', () => {
    const walk = ['Ama']
    for (let i = 0; i < 5; i++) walk.push(from(walk.at(-1)!, 'ArrowDown')!)
    expect(walk).toEqual(['Ama', 'Bruno', 'Cy', 'Dot', 'Eve', 'Ama'])
    for (const child of walk) expect(from(from(child, 'ArrowDown')!, 'ArrowUp')).toBe(child)
  })

  test('to the sides at the same height, past a station without anybody', () => {
    expect(from('Bruno', 'ArrowRight')).toBe('Dot')
    expect(from('Bruno', 'ArrowLeft')).toBe('Dot')
    expect(from('Eve', 'ArrowRight')).toBe('Bruno')
  })

  test('to the first and the last; other keys lead nowhere, and so does a row that is gone', () => {
    expect(from('Dot', 'Home')).toBe('Ama')
    expect(from('Ama', 'End')).toBe('Eve')
    expect(from('Ama', 'x')).toBeUndefined()
    expect(nextRow(columns, 'nobody here', 'ArrowDown')).toBeNull()
  })
})

describe('who was not seen yet', () => {
  const marked = (pupil: string) => (_: string, child: string) =>
    child === pupil ? { judged: 'own' as const, right: null, of: null } : undefined
  const nobody = () => []

  test('a mark of this device or of another counts, absence is not looked for', () => {
    const others = (_: string, child: string) =>
      child === 'Cy' ? [{ judged: 'help' as const, right: null, of: null }] : []
    expect(notSeen(visits, new Set(['Dot']), marked('Ama'), others)).toEqual(['Bruno', 'Eve'])
  })

  test('a mark that was taken back is none', () => {
    const back = () => ({ judged: null, right: null, of: null })
    expect(notSeen(visits, new Set(), back, nobody)).toHaveLength(5)
  })

  test('a long list is cut, a short one is not', () => {
    const names = [...'ABCDEFG']
    expect(shortList(names.slice(0, 6))).toBe('A, B, C, D, E, F')
    expect(shortList(names)).toBe('A, B, C, D, E and 2 more')
  })
})
