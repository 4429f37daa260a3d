import { z } from 'zod'
import type { GameEvent } from '../games/engine/events'

const seconds = (value: number) => z.number().min(0).max(600).default(value)

/** Seconds of the parts of a go. Defaults: common practice, no source. */
export const paceSchema = z.object({
  roll: seconds(4),
  draw: seconds(4),
  spin: seconds(5),
  call: seconds(4),
  /** How sums are worked out: counting every object, counting on from the first number, or by heart. */
  strategy: z.enum(['count-all', 'count-on', 'known']).default('count-on'),
  countEach: seconds(1),
  countOnStart: seconds(2),
  countOnStep: seconds(0.8),
  knownFact: seconds(2),
  /** Weighing up several moves, where there are several. */
  choose: seconds(3),
  judge: seconds(2),
  square: seconds(0.7),
  place: seconds(2),
  cube: seconds(1.5),
  numeral: seconds(4),
  sentence: seconds(12),
  drawing: seconds(15),
  jump: seconds(1.2),
  /**
   * Once a go for which children leave the table: getting up, finding room, waiting for the last one, settling again. The
   * other parts add up to some 21 s, narrated practice says 45 to 50 (common practice, no source): this is what is
   * between them.
   */
  settle: seconds(25),
  explain: seconds(6),
  handOver: seconds(2),
  /** All times longer (above 1) or shorter: learned from a class's finished games. */
  factor: z.number().min(0.25).max(4).default(1),
})

export type Pace = z.infer<typeof paceSchema>

export const defaultPace: Pace = paceSchema.parse({})

export interface GoTime {
  /** Whole seconds from taking the device to handing it over. */
  seconds: number
  /** Whole seconds, added up over children, in which a child works something out or moves. */
  active: number
  dead: boolean
}

/** How the goes of a game run: in turn, one call for all, or each on an own board. */
type Goes = 'alternate' | 'call' | 'parallel'

/**
 * Adds up the seconds of one go from its events: a fixed function of them, rounded to the second on
 * which sums are carried. Where one call serves all, the call counts once and then the slowest child.
 */
export class GoClock {
  private common = 0
  private passing = 0
  private waited = 0
  private moved = false
  private own: number[]
  private readonly actors: number

  constructor(
    private readonly pace: Pace,
    private readonly goes: Goes,
    players: number,
  ) {
    this.actors = goes === 'call' ? players : 1
    this.own = Array<number>(this.actors).fill(0)
  }

  hear(event: GameEvent) {
    switch (event.kind) {
      case 'handed-over':
        // On an own board nobody is waited for: nothing is handed over.
        this.passing += this.goes === 'parallel' ? 0 : this.pace.handOver
        return
      case 'rolled':
      case 'spun':
      case 'drew':
      case 'called':
        this.common += partOf(event, this.pace)
        return
      case 'waited':
        this.waited++
        break
      case 'jumped':
        if (event.away && !this.moved) {
          this.common += this.pace.settle
          this.moved = true
        }
    }
    const actor = this.actors > 1 ? (event.player ?? 0) : 0
    this.own[actor] += partOf(event, this.pace)
  }

  /** The go's time; the clock stands at zero again. */
  read(): GoTime {
    const { common, passing, pace, actors, waited } = this
    let slowest = 0
    let all = 0
    for (let actor = 0; actor < actors; actor++) {
      slowest = Math.max(slowest, this.own[actor])
      all += this.own[actor]
      this.own[actor] = 0
    }
    this.common = this.passing = this.waited = 0
    this.moved = false
    const dead = waited === actors
    return {
      seconds: Math.max(1, Math.round((common + slowest + passing) * pace.factor)),
      active: dead ? 0 : Math.round((common + all) * pace.factor),
      dead,
    }
  }
}

/** The time of one whole go. */
export function goTime(
  events: readonly GameEvent[],
  pace: Pace,
  goes: Goes = 'alternate',
  players = 1,
): GoTime {
  const clock = new GoClock(pace, goes, players)
  for (const event of events) clock.hear(event)
  return clock.read()
}

function partOf(event: GameEvent, pace: Pace): number {
  switch (event.kind) {
    case 'rolled':
      return event.faces.length === 0 ? 0 : pace.roll
    case 'spun':
      return pace.spin
    case 'drew':
      return pace.draw
    case 'called':
      return pace.call
    case 'answered':
      return thinking(event, pace)
    case 'chose':
      return pace.choose
    case 'moved':
      return pace.square * event.squares
    case 'built':
      return pace.cube * event.cubes + pace.place
    case 'placed':
    case 'sent-back':
      return pace.place
    case 'took':
      return pace.place * Math.max(1, event.cards.length)
    case 'jumped':
      return pace.jump * event.times
    case 'explained':
      return pace.explain
    case 'waited':
      return pace.judge
    case 'wrote':
      return event.what === 'numeral'
        ? pace.numeral
        : event.what === 'sentence'
          ? pace.sentence
          : pace.drawing
    case 'handed-over':
    case 'predicted':
    case 'ended':
      return 0
  }
}

/** Items worked out by counting up from a number, or by counting them all. */
const counted = new Set(['add', 'subtract', 'missing'])

function thinking({ item, steps }: Extract<GameEvent, { kind: 'answered' }>, pace: Pace): number {
  // Building counts the cubes as they are taken: the second is in the building.
  if (item.op === 'count') return 0
  if (item.op === 'say') return pace.countOnStep * steps
  if (!counted.has(item.op) || pace.strategy === 'known' || steps === 0) return pace.knownFact
  if (pace.strategy === 'count-all') return pace.countEach * Math.max(item.answer, steps)
  return pace.countOnStart + pace.countOnStep * steps
}
