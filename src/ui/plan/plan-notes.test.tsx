import { seededChance } from '@/core/chance/chance'
import { groupNames } from '@/core/grouping/pennants'
import { figures, planFor, randomClass } from '@/core/planning/session/testing/random-class'
import { workOut, type PlanView } from '@/core/planning/session/work-out'
import { rounds } from '@/core/testing/rounds'
import { markupOf, readIn } from '../testing/markup'
import { PlanNotes } from './plan-notes'

/** What stands behind a heading of the notes; null: the heading is not there. */
function noted(view: PlanView, heading: string): string | null {
  const [list] = /<dl>.*<\/dl>/.exec(markupOf(<PlanNotes view={view} />))!
  const at = list.indexOf(`<dt>${heading}</dt>`)
  if (at < 0) return null
  return list.slice(list.indexOf('<dd>', at) + 4, list.indexOf('</dd>', at)).replace(/<[^>]+>/g, '')
}

const views = Array.from({ length: rounds(40) }, (_, seed) => {
  const context = randomClass(seededChance(seed + 1))
  return workOut(planFor(context), context, figures)
})

test('the minutes of the session are all there and end when it does', () => {
  for (const view of views) {
    const said = noted(view, 'Minutes')!
    expect(said).toContain(`ends at ${view.times.ends}`)
    const minutes = [...said.split(';')[0].matchAll(/ (\d+)/g)].reduce((sum, [, n]) => sum + Number(n), 0)
    expect(minutes).toBe(view.times.parts.reduce((sum, part) => sum + part.minutes, 0))
    expect(said.includes('over the lesson')).toBe(view.times.over > 0)
  }
})

test('whoever plays at another level than its group is named once, and nobody else', () => {
  let named = 0
  for (const view of views) {
    const own = new Set(view.visits.flatMap(({ ownLevels }) => Object.keys(ownLevels)))
    const said = noted(view, 'Own levels')
    expect(said === null).toBe(own.size === 0)
    if (said === null) continue
    const names = view.groups.flatMap(({ children }) => children.filter(({ id }) => own.has(id)))
    expect(said.split(':')[0]).toBe(names.map(({ name }) => name).join(', '))
    named += names.length
  }
  expect(named).toBeGreaterThan(0)
})

test('what a group was never shown is to be shown first: the game, and to whom', () => {
  let shown = 0
  for (const view of views) {
    const said = noted(view, 'Show first')
    expect(said === null).toBe(view.showFirst.length === 0)
    for (const { title, pennants } of view.showFirst) {
      const to =
        pennants.length === view.groups.length ? 'all' : pennants.map((one) => groupNames[one]).join(', ')
      expect(said).toContain(`${title} to ${to}`)
      shown++
    }
  }
  expect(shown).toBeGreaterThan(0)
})

test('with you soon: who was not at the teacher’s table for a week and is not today', () => {
  let waiting = 0
  for (const view of views) {
    const said = noted(view, 'With you soon')
    const led = view.stations.filter(({ mode }) => mode === 'adult-led').map(({ id }) => id)
    for (const { id, pennant, sinceTeacher, children } of view.groups) {
      const today = view.visits.some(({ groupId, stationId }) => groupId === id && led.includes(stationId))
      const due = led.length > 0 && children.length > 0 && !today && (sinceTeacher ?? 99) >= 5
      expect([said ?? '', due]).toEqual([
        due ? expect.stringContaining(groupNames[pennant]) : expect.not.stringContaining(groupNames[pennant]),
        due,
      ])
      waiting += Number(due)
    }
  }
  expect(waiting).toBeGreaterThan(0)
})

test('what a plan is weighed by has a word for each rule, and its figure', () => {
  for (const view of views) {
    const said = readIn(<PlanNotes view={view} />)
    if (view.costs.length === 0) continue
    const weighed = said.slice(said.indexOf('looks for the least sum.'))
    expect(weighed.match(/\d+(\.\d)?( |$)/g)).toHaveLength(view.costs.length)
  }
})
