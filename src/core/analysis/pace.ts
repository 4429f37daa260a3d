import { z } from 'zod'
import type { GameEvent } from '../games/events'

const seconds = (value: number) => z.number().min(0).max(600).default(value)

/** Seconds of the parts of a go. Defaults: common practice, no source. */
export const paceSchema = z.object({
  roll: seconds(4),
  draw: seconds(4),
  spin: seconds(5),
  /** How sums are worked out: counting every object, counting on from the first number, or by heart. */
  strategy: z.enum(['count-all', 'count-on', 'known']).default('count-on'),
  countEach: seconds(1),
  countOnStart: seconds(2),
  countOnStep: seconds(0.8),
  knownFact: seconds(2),
  judge: seconds(2),
  square: seconds(0.7),
  place: seconds(2),
  cube: seconds(1.5),
  numeral: seconds(4),
  sentence: seconds(12),
  handOver: seconds(2),
  /** All times longer (above 1) or shorter: learned from a class's finished games. */
  factor: z.number().min(0.25).max(4).default(1),
})

export type Pace = z.infer<typeof paceSchema>

export const defaultPace: Pace = paceSchema.parse({})

export interface GoTime {
  /** Whole seconds from taking the device to handing it over. */
  seconds: number
  /** Whole seconds in which the player whose go it is works something out or moves. */
  active: number
}

/** A fixed function of the events of one go, rounded to the second on which sums are carried. */
export function goTime(events: readonly GameEvent[], pace: Pace): GoTime {
  let total = 0
  let passing = 0
  let works = false
  for (const event of events) {
    const part = partOf(event, pace)
    total += part
    if (event.kind === 'handed-over') passing += part
    if (event.kind === 'answered' || event.kind === 'moved') works = true
  }
  const rounded = Math.max(1, Math.round(total * pace.factor))
  return { seconds: rounded, active: works ? Math.round((total - passing) * pace.factor) : 0 }
}

function partOf(event: GameEvent, pace: Pace): number {
  switch (event.kind) {
    case 'rolled':
      return pace.roll
    case 'spun':
      return pace.spin
    case 'drew':
      return pace.draw
    case 'answered':
      return thinking(event, pace)
    case 'moved':
      return pace.square * event.squares
    case 'built':
      return pace.cube * event.cubes + pace.place
    case 'waited':
      return pace.judge
    case 'wrote':
      return event.what === 'sentence' ? pace.sentence : pace.numeral
    case 'handed-over':
      return pace.handOver
    case 'predicted':
    case 'ended':
      return 0
  }
}

function thinking({ item, steps }: Extract<GameEvent, { kind: 'answered' }>, pace: Pace): number {
  if (item.op === 'numeral') return pace.knownFact
  // Building counts the cubes as they are taken: the second is in the building.
  if (item.op === 'count') return 0
  if (pace.strategy === 'known' || steps === 0) return pace.knownFact
  if (pace.strategy === 'count-all') return pace.countEach * Math.max(item.answer, steps)
  return pace.countOnStart + pace.countOnStep * steps
}
