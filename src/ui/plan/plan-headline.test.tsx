import { seededChance } from '@/core/chance/chance'
import { figures, planFor, randomClass } from '@/core/planning/session/testing/random-class'
import { workOut, type PlanView } from '@/core/planning/session/work-out'
import { doable, readIn } from '../testing/markup'
import { PlanHeadline } from './plan-headline'

type Props = Parameters<typeof PlanHeadline>[0]

const context = randomClass(seededChance(2))
const planned = workOut(planFor(context), context, figures)
const nothing = () => undefined

const editing = (change: object, view: PlanView = planned) =>
  ({
    view,
    draft: {
      keeping: { state: 'kept', at: null },
      changed: false,
      canUndo: false,
      canRedo: false,
      keepThis: nothing,
    },
    busy: false,
    gaps: 0,
    changed: false,
    filling: { busy: false, done: 0, keep: nothing },
    keep: nothing,
    fill: nothing,
    change: nothing,
    ...change,
  }) as unknown as Props['editing']

const headline = (change: Partial<Props> = {}) => (
  <PlanHeadline
    classId="class"
    editing={editing({})}
    changedSince={null}
    today={planned.plan.day}
    waiting={[]}
    {...change}
  />
)

const minutes = planned.plan.slots * planned.plan.slotMinutes

test('what it comes to: clashes, stations, minutes, from when to when', () => {
  const clashes = planned.conflicts.filter(({ kind }) => kind !== 'game-again').length
  const said = readIn(headline())
  expect(said.startsWith(clashes === 0 ? 'No clash' : `${clashes} thing`)).toBe(true)
  expect(said).toContain(`${planned.plan.stations.length} stations, ${minutes} minutes`)
  expect(said).toContain(`Today from ${planned.plan.startsAt} to ${planned.times.ends}`)
})

test('a gap and things to look at are counted, one as one', () => {
  const conflict = { kind: 'too-long', slot: 0, groupId: 'group 0', finishInSlot: 0.4 }
  const withConflicts = (count: number) =>
    headline({
      editing: editing({ gaps: 1 }, {
        ...planned,
        conflicts: Array(count).fill(conflict),
      } as unknown as PlanView),
    })
  expect(readIn(withConflicts(1))).toMatch(/^1 gap, 1 thing to look at, /)
  expect(readIn(withConflicts(2))).toMatch(/^1 gap, 2 things to look at, /)
  // That a game comes again soon is a note, not a clash.
  const again = { ...planned, conflicts: [{ ...conflict, kind: 'game-again' }] } as unknown as PlanView
  expect(readIn(headline({ editing: editing({}, again) }))).toMatch(/^No clash/)
})

test.each<[string, object, Partial<Props>, string[]]>([
  ['kept', {}, {}, ['Plan again', 'To the session']],
  ['changed', { changed: true }, {}, ['Plan again', 'Ready']],
  ['with gaps', { gaps: 2, changed: true }, {}, ['Ready as it is', 'Fill gaps']],
  ['being worked out', { changed: true, busy: true }, {}, ['Plan again', 'Working out …']],
  ['being filled', { filling: { busy: true, done: 0.5, keep: nothing } }, {}, ['Stop, keep the best']],
  ['of a day gone by', {}, { today: '2099-01-05' }, ['Plan again', 'Plan it for today']],
])('the next thing to do with a plan that is %s', (_, change, props, offered) => {
  expect(doable(headline({ editing: editing(change), ...props }))).toEqual(offered)
})

test('a day gone by, new groups and who stands in none are said', () => {
  expect(readIn(headline({ today: '2099-01-05' }))).toContain('which has passed')
  expect(readIn(headline({ changedSince: 'groups' }))).toContain('now with the new groups; Ready keeps it')
  expect(readIn(headline({ changedSince: 'levels' }))).toContain('levels follow what was seen since')
  expect(readIn(headline({ waiting: ['Élodie', 'Uma'] }))).toContain(
    'Not in a group yet, so not in this plan: Élodie, Uma',
  )
  expect(readIn(headline())).not.toContain('Not in a group')
})
