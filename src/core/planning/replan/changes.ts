import type { Happened } from './happened'
import { changeOf, type Change, type Running, type RunningVisit } from './running'

/** No slot is made shorter than this: a game is not even begun. Common practice, no source. */
const shortestSlot = 5

const adultly = ['adult-led', 'adult-near'] as const
const hasAdult = (mode: string) => (adultly as readonly string[]).includes(mode)

/** Every change that could help, whatever it loses, but for stations that close: see `closings`. */
export function changesFor(running: Running, happened: Happened): Change[] {
  switch (happened.kind) {
    case 'late':
      return timeIsShort(running, happened.minutes)
    case 'lost-slot':
      return timeIsShort(running, running.plan.slotMinutes)
    case 'adult-missing':
      return stationsWithAdult(running).map((stationId) =>
        changeOf(running, 'on-its-own', { modes: [{ stationId, mode: 'own' }] }),
      )
    case 'station-fails':
      return []
    case 'alone':
      return together(running, happened.groupId)
  }
}

/** Stations one of which has to close. */
export function toClose(running: Running, happened: Happened): string[] {
  if (happened.kind === 'station-fails') return [happened.stationId]
  return happened.kind === 'adult-missing' ? stationsWithAdult(running) : []
}

const stationsWithAdult = ({ plan }: Running): string[] =>
  plan.stations.filter(({ mode }) => hasAdult(mode)).map(({ id }) => id)

/** The slot under way and those to come. */
const rest = ({ visits, slot }: Running) => visits.filter((visit) => visit.slot >= slot)

/** Some minutes fewer until the end. */
function timeIsShort(running: Running, minutes: number): Change[] {
  const { plan, slot } = running
  const left = plan.slots - slot
  const to = plan.slotMinutes - Math.ceil(minutes / left)
  const shorter = to >= shortestSlot ? [changeOf(running, 'shorten', { slotMinutes: to })] : []
  const dropping = Array.from({ length: left - 1 }, (_, i) => slot + 1 + i).flatMap((gone) => {
    const change = {
      slots: plan.slots - 1,
      dropped: running.visits.filter((visit) => visit.slot === gone).map(({ id }) => id),
      moved: running.visits
        .filter((visit) => visit.slot > gone)
        .map(({ id, slot: at, stationId }) => ({ visitId: id, slot: at - 1, stationId })),
    }
    const last = gone === plan.slots - 1
    return [
      changeOf(running, 'drop-slot', change),
      // What is held another day is what would have come last.
      ...(last ? [changeOf(running, 'tomorrow', change)] : []),
    ]
  })
  return [...shorter, ...dropping]
}

/** A station closes: for each visit that was still to come there, every other station it could go to. */
export function closings(running: Running, closed: string): Change['moved'][number][][] {
  const others = running.plan.stations.filter(({ id }) => id !== closed)
  return rest(running)
    .filter(({ stationId }) => stationId === closed)
    .map(({ id, slot }) => others.map(({ id: stationId }) => ({ visitId: id, slot, stationId })))
}

/** A child who is alone plays with another group from now on, or with an adult. */
function together(running: Running, alone: string): Change[] {
  const [pupilId] = running.present[alone] ?? []
  const own = rest(running).filter(({ groupId }) => groupId === alone)
  if (pupilId === undefined || own.length === 0) return []
  const bySlot = (groupId: string) => rest(running).filter((visit: RunningVisit) => visit.groupId === groupId)
  const joining = Object.keys(running.present)
    .filter((groupId) => groupId !== alone && running.present[groupId].length > 0)
    .map((groupId) =>
      changeOf(running, 'join-group', {
        dropped: own.map(({ id }) => id),
        joins: [{ pupilId, visitIds: bySlot(groupId).map(({ id }) => id) }],
      }),
    )
  return [...joining, changeOf(running, 'adult-plays', {})]
}
