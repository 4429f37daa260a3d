import { doable, readIn } from '../testing/markup'
import { RunBar } from './run-bar'

type Props = Parameters<typeof RunBar>[0]

const times = [
  { from: '10:20', to: '10:32' },
  { from: '10:34', to: '10:46' },
  { from: '10:48', to: '11:00' },
] as Props['times']

const session = {
  state: 'running',
  slot: 0,
  slots: 3,
  slotMinutes: 12,
  paused: false,
  canGoBack: false,
} as Props['session']

const minutes = (count: number) => count * 60_000

const bar = ({ session: change, ...props }: Partial<Omit<Props, 'session'>> & { session?: object }) => (
  <RunBar
    classId="class"
    session={{ ...session, ...change }}
    times={times}
    left={minutes(12)}
    busy={false}
    onTap={() => undefined}
    onLetIn={() => undefined}
    onLate={() => undefined}
    replanned={false}
    leads
    note={null}
    {...props}
  />
)

test('before it begins it says when it was planned, and can be started', () => {
  const planned = bar({ session: { state: 'planned' } })
  expect(readIn(planned)).toContain('Slot 1 of 3 planned for 10:20')
  expect(doable(planned)).toContain('Start session')
  for (const later of ['Pause', 'Next slot', 'End here', '+1 minute'])
    expect(doable(planned)).not.toContain(later)
})

test('while it runs: until when, and the ways on; at the last slot it is finished', () => {
  expect(readIn(bar({}))).toContain('12:00 Slot 1 of 3 planned until 10:32')
  expect(doable(bar({}))).toEqual(
    expect.arrayContaining(['Pause', '+1 minute', 'Late?', 'Next slot', 'End here']),
  )
  const last = bar({ session: { slot: 2 } })
  expect(readIn(last)).toContain('Slot 3 of 3 planned until 11:00')
  expect(doable(last)).toContain('Finish')
  for (const earlier of ['Next slot', 'End here']) expect(doable(last)).not.toContain(earlier)
})

test('once the time of all slots has passed it does not end in this one by the way: how far it went is asked', () => {
  expect(doable(bar({ left: minutes(-23) }))).toContain('End here')
  expect(doable(bar({ left: minutes(-24) }))).not.toContain('End here')
  expect(doable(bar({ left: minutes(-24) }))).toContain('Next slot')
})

test('the way back is offered where there is one, and names the slot it leads to', () => {
  expect(doable(bar({ session: { slot: 1, canGoBack: true } }))).toContain('Back to slot 1')
  expect(doable(bar({ session: { slot: 1 } })).join()).not.toMatch(/Back/)
})

test('paused, over time or planned anew it does not tell the times of the plan', () => {
  const paused = bar({ session: { paused: true } })
  expect(doable(paused)).toContain('Go on')
  expect(doable(paused)).not.toContain('Pause')
  expect(readIn(bar({ left: -1000 }))).toContain('over time')
  expect(readIn(bar({ replanned: true }))).toContain('planned anew')
  for (const one of [paused, bar({ left: -1000 }), bar({ replanned: true })])
    expect(readIn(one)).not.toContain('planned until')
})

test('a helper records and leads nothing', () => {
  for (const state of ['planned', 'running']) {
    const offered = doable(bar({ leads: false, session: { state, canGoBack: true, slot: 1 } }))
    expect(offered).toContain('Your account')
    for (const lead of [
      'Start session',
      'Pause',
      'Next slot',
      'End here',
      'Back to slot 1',
      'Bring a helper',
      'Harbour',
    ])
      expect(offered).not.toContain(lead)
  }
})
