import { z } from 'zod'
import { gameIdSchema, gameOf, usualLevel } from '../../games'
import { splitIntoSets } from '../../games/engine/sets'
import { fitCost, type Band } from '../../grouping/problem/fit-cost'
import { ownBand } from '../../evidence/fit'
import { nameOf } from '../../things'

const stationModes = ['adult-led', 'adult-near', 'own', 'digital'] as const

/** Success alone that fits with an adult at hand: harder work than a group can do on its own. */
const adultBand: Band = [0.5, 0.8]

/** Noise (0 to 3 a station) that a room bears in a slot. Common practice, no source. */
export const usualNoiseLimit = 8
/** School days before a group meets the same game again. Common practice, no source. */
export const usualCoolDown = 5

const id = z.string().min(1).max(100)
const share = z.number().min(0).max(1)
const index = z.number().int().min(0)

const groupSchema = z.object({
  id,
  children: z.number().int().min(1).max(60),
  /** Share of the latest judgements that were "not yet": these groups meet the teacher first. */
  notYet: share.default(0),
  /** Games the group was shown and has played near an adult. */
  known: z.array(gameIdSchema).default([]),
  /** School days since the group last played a game, counted from the first session. */
  lastPlayed: z.partialRecord(gameIdSchema, z.number().int().min(0)).default({}),
  /** The children by name: visits then say who plays with whom. */
  pupils: z.array(id).max(60).optional(),
  /** The sets in which the group last played, where it was in more than one. */
  lastSets: z.array(z.array(id).min(1)).max(60).default([]),
  /** How often two of the children have played together. */
  met: z
    .array(z.tuple([id, id, z.number().int().min(1).max(1000)]))
    .max(2000)
    .default([]),
  /** Children who stay partners, as in pairs within reach: they may play together twice running. */
  together: z.array(z.array(id).min(2)).max(30).default([]),
})

const stationSchema = z.object({
  id,
  mode: z.enum(stationModes),
  /** Children who can be there at once. */
  places: z.number().int().min(1).max(60),
  /** Groups that can be there at once; left out: as many as there are places for. */
  groups: z.number().int().min(1).max(60).optional(),
})

const offerSchema = z.object({
  station: id,
  game: gameIdSchema,
  level: z.string().optional(),
  /** Success alone to expect of each group; a group that is not named can't play it. */
  success: z.record(z.string(), share),
  /** Chance that the game ends in the slot; null: time-boxed. */
  finish: share.nullable().default(null),
  /** How much the class likes it, 0 to 1. */
  liked: share.default(0.5),
  /** Strand it practises most, for the minutes of the week. */
  strand: z.string().optional(),
})

const pinSchema = z.object({
  session: index,
  slot: index,
  group: id,
  station: id,
  game: gameIdSchema.optional(),
})

export const planInputSchema = z
  .object({
    sessions: z.number().int().min(1).max(10).default(1),
    slots: z.number().int().min(1).max(6),
    slotMinutes: z.number().int().min(3).max(60).default(12),
    groups: z.array(groupSchema).min(1).max(12),
    stations: z.array(stationSchema).min(1).max(12),
    offers: z.array(offerSchema).min(1).max(200),
    /** Adults who can be at a station. */
    adults: z.number().int().min(0).max(10).default(1),
    /** Noise (0 to 3 a station) that a slot may add up to. */
    noiseLimit: z.number().int().min(0).max(40).default(usualNoiseLimit),
    inventory: z.record(z.string(), z.number().int().min(0)).default({}),
    /** School days before a group meets the same game again. */
    coolDown: z.number().int().min(0).max(60).default(usualCoolDown),
    /** School days from one session to the next. */
    daysBetween: z.number().int().min(1).max(10).default(1),
    /** Minutes wanted for each strand and group over all sessions. */
    strandMinutes: z.record(z.string(), z.number().min(0)).default({}),
    pins: z.array(pinSchema).max(200).default([]),
    seed: z.number().int().default(1),
    /** Changes tried: a budget, not a clock, so that equal seeds give equal plans. */
    tries: z.number().int().min(100).max(5_000_000).default(60_000),
  })
  .superRefine(({ groups, stations, offers, pins, sessions, slots }, context) => {
    const problem = (path: (string | number)[], message: string) =>
      context.addIssue({ code: 'custom', path, message })
    const twice = (list: readonly { id: string }[], name: string) =>
      list.forEach((one, i) => {
        if (list.findIndex((other) => other.id === one.id) < i)
          problem([name, i, 'id'], `“${one.id}” is there twice.`)
      })
    twice(groups, 'groups')
    twice(stations, 'stations')
    groups.forEach(({ children, pupils }, i) => {
      if (pupils && (pupils.length !== children || new Set(pupils).size !== children))
        problem(['groups', i, 'pupils'], `Not ${children} different children.`)
    })
    const isGroup = (name: string) => groups.some((group) => group.id === name)
    const isStation = (name: string) => stations.some((station) => station.id === name)
    offers.forEach((offer, i) => {
      if (!isStation(offer.station)) problem(['offers', i, 'station'], `No station “${offer.station}”.`)
      for (const name of Object.keys(offer.success))
        if (!isGroup(name)) problem(['offers', i, 'success', name], `No group “${name}”.`)
      if (offer.level !== undefined && !gameOf(offer.game).levels.some((level) => level.id === offer.level))
        problem(['offers', i, 'level'], `${gameOf(offer.game).title} has no level “${offer.level}”.`)
    })
    pins.forEach((pin, i) => {
      const same = (other: typeof pin) =>
        other.session === pin.session && other.slot === pin.slot && other.group === pin.group
      if (pins.findIndex(same) < i) problem(['pins', i], 'The group is pinned there already.')
      const offered = offers.filter(
        ({ station, game }) => station === pin.station && (pin.game === undefined || game === pin.game),
      )
      if (
        isStation(pin.station) &&
        isGroup(pin.group) &&
        !offered.some(({ success }) => Object.hasOwn(success, pin.group))
      )
        problem(['pins', i], 'Nothing that is offered there can be played by the group.')
      if (!isGroup(pin.group)) problem(['pins', i, 'group'], `No group “${pin.group}”.`)
      if (!isStation(pin.station)) problem(['pins', i, 'station'], `No station “${pin.station}”.`)
      if (pin.session >= sessions) problem(['pins', i, 'session'], `There are ${sessions}, counted from 0.`)
      if (pin.slot >= slots) problem(['pins', i, 'slot'], `There are ${slots}, counted from 0.`)
    })
  })

export type PlanInput = z.output<typeof planInputSchema>

/** An offer with what the rules ask about it. */
interface Offer {
  station: number
  game: string
  level: string
  strand: string | null
  noise: number
  floor: number
  /** The game has to have an adult there. */
  needsAdult: boolean
  /** [group] cost of fit, finishing and liking; Infinity: the group can't play it here. */
  cost: Float64Array
  /** [group] sizes of the sets it plays in there. */
  sets: readonly (readonly number[])[]
  /** [group] what it takes of the inventory's items, by their index. */
  needs: readonly (readonly { item: number; count: number }[])[]
}

export interface PlanProblem {
  input: PlanInput
  offers: readonly Offer[]
  /** How many there are of each thing that was counted. */
  stock: readonly number[]
  /** [session · slot][group] offers that may be taken there, as pins leave them. */
  open: readonly (readonly (readonly number[])[])[]
  /** [session · slot][group] true where the teacher pinned the group. */
  pinned: readonly (readonly boolean[])[]
}

/** A chance of finishing under this costs. */
const likelyToFinish = 0.8
const finishWeight = 5
const likedWeight = 0.5
/** The worst fit costs this much: less than to stand about. */
const worstFit = 25

/** Works out what each offer means for each group. */
export function planProblem(input: PlanInput): PlanProblem {
  const items = Object.keys(input.inventory)
  const offers = input.offers.map((offer): Offer => {
    const game = gameOf(offer.game)
    const level = game.levels.find((one) => one.id === offer.level) ?? usualLevel(game)
    const station = input.stations.findIndex((one) => one.id === offer.station)
    const { mode, places } = input.stations[station]
    const withAdult = mode === 'adult-led' || mode === 'adult-near'
    const sets = input.groups.map(({ children }) => splitIntoSets(children, game.players))
    const fits = (g: number) =>
      input.groups[g].children <= places &&
      sets[g].every((size) => size >= game.players.min && size <= game.players.max)
    return {
      station,
      game: offer.game,
      level: level.id,
      strand: offer.strand ?? null,
      noise: game.room.noise,
      floor: game.room.floor,
      needsAdult: game.room.adult,
      cost: Float64Array.from(input.groups, ({ id: name }, g) => {
        const success = offer.success[name]
        if (success === undefined || !fits(g) || (game.room.adult && !withAdult)) return Infinity
        const unfinished = offer.finish === null ? 0 : Math.max(0, likelyToFinish - offer.finish)
        return (
          Math.min(worstFit, fitCost(success, withAdult ? adultBand : ownBand)) +
          finishWeight * unfinished +
          likedWeight * (1 - offer.liked)
        )
      }),
      sets,
      needs: input.groups.map(({ children }, g) =>
        game.materials(level.params).flatMap(({ thing, perSet = 0, perPlayer = 0 }) => {
          const at = items.indexOf(nameOf(thing))
          return at < 0 ? [] : [{ item: at, count: perSet * sets[g].length + perPlayer * children }]
        }),
      ),
    }
  })
  const all = offers.map((_, offer) => offer)
  const times = Array.from({ length: input.sessions * input.slots }, (_, time) => time)
  const pinOf = (time: number, group: string) =>
    input.pins.find((one) => one.session * input.slots + one.slot === time && one.group === group)
  const open = times.map((time) =>
    input.groups.map((group, g) => {
      const playable = all.filter((offer) => offers[offer].cost[g] < Infinity)
      const pin = pinOf(time, group.id)
      return pin
        ? playable.filter(
            (offer) =>
              input.stations[offers[offer].station].id === pin.station &&
              (pin.game === undefined || offers[offer].game === pin.game),
          )
        : playable
    }),
  )
  const pinned = times.map((time) => input.groups.map(({ id: group }) => pinOf(time, group) !== undefined))
  return { input, offers, stock: items.map((item) => input.inventory[item]), open, pinned }
}
