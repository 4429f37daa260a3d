import type { Mark } from '../drawing/marks'
import { gameOf } from '../games'
import type { PlanView } from '../planning/session/work-out'
import { strandOf } from '../skills'
import { sessionPapers } from './session-papers'

const textsIn = (marks: readonly Mark[]): string[] =>
  marks.flatMap((mark) => (mark.op === 'group' ? textsIn(mark.marks) : mark.op === 'text' ? [mark.text] : []))

/** Two groups change places at two stations; each plays Landfall at a level of its own, Tower Bay at the same one. */
const view = {
  groups: [
    {
      id: 'k',
      pennant: 0,
      children: [
        { id: 'a', name: 'Ama' },
        { id: 'c', name: 'Cleo' },
      ],
    },
    { id: 's', pennant: 1, children: [{ id: 'b', name: 'Bruno' }] },
  ],
  stations: [
    { id: 'one', gameId: 'landfall', title: 'Landfall', mode: 'adult-led', cautions: [] },
    { id: 'two', gameId: 'tower-bay', title: 'Tower Bay', mode: 'on its own', cautions: [] },
  ],
  times: {
    slots: [
      { from: '10:00', to: '10:12' },
      { from: '10:14', to: '10:26' },
    ],
  },
  visits: [
    ['s', 'one', 1, 'to-20-die', '0 to 20, one die', 'b'],
    ['k', 'one', 0, 'to-10-die', '0 to 10, one die', 'a'],
    ['s', 'two', 0, 'die', '1 to 6, one die', 'b'],
    ['k', 'two', 1, 'die', '1 to 6, one die', 'a'],
  ].map(([groupId, stationId, slot, levelId, levelTitle, child]) => ({
    groupId,
    stationId,
    slot,
    levelId,
    levelTitle,
    eachItsOwn: false,
    ranges: [],
    ownLevels: groupId === 'k' && stationId === 'one' ? { c: 'to-20-die' } : {},
    seats: [groupId === 'k' ? [child, 'c'] : [child]],
  })),
} as unknown as PlanView

const papers = sessionPapers({
  title: 'Test Class',
  day: 'Friday',
  view,
  stepAt: () => strandOf('add').steps[0],
  near: ['Bruno'],
})
const titleOf = (levelId: string) => gameOf('landfall').levels.find(({ id }) => id === levelId)!.title
const textOf = (name: string) => {
  const item = papers.items.find((one) => one.name.startsWith(name))!
  return item.part(1, { seed: 1, taskCards: 'small' }).pieces.map(({ marks }) => textsIn(marks))
}

test('a sign that all groups read names the level that all of them play, and none where each has its own', () => {
  const [landfall, towerBay] = textOf('station signs')
  expect(landfall).toContain('Landfall')
  expect(landfall).not.toContain('0 to 10, one die')
  expect(landfall).not.toContain('0 to 20, one die')
  expect(towerBay).toContain('1 to 6, one die')
})

test('a child that plays at its own level stands on the observation sheet with it, all others without', () => {
  const sheet = textOf('observation sheets')[0]
  expect(sheet.filter((text) => text.startsWith('Cleo'))).toEqual([`Cleo (${titleOf('to-20-die')})`])
  expect(sheet).toContain('Ama')
})

test('the adult who comes in reads which group plays which level, in their order, and for whom it is put out', () => {
  const cover = textOf('cover page')[0].join(' ')
  expect(cover).toContain(
    `Levels: Kelp 0 to 10, one die (Cleo ${titleOf('to-20-die')}) · Samphire 0 to 20, one die`,
  )
  expect(cover).toContain('Put out for Kelp: ')
  // Where it is the same for all, nothing more is said.
  expect(cover.match(/Levels:/g)).toHaveLength(1)
  expect(cover.match(/Put out: /g)).toHaveLength(1)
  expect(cover).toContain('Stay near: Bruno.')
})
