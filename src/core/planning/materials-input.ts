import { z } from 'zod'
import { gameIdSchema, gameOf, usualLevel } from '../games'
import { splitIntoSets } from '../games/engine/sets'
import { againstInventory, toBuy, type Stocked } from './inventory'
import { materialsOf, type Need } from './materials'
import { isPrinted } from '../things'

const visitSchema = z
  .object({
    session: z.number().int().min(0).max(60).default(0),
    slot: z.number().int().min(0).max(20),
    station: z.number().int().min(0).max(20),
    game: gameIdSchema,
    /** A level by its id, or the game's own parameters; neither: the first level. */
    level: z.string().optional(),
    params: z.unknown().optional(),
    children: z.number().int().min(1).max(40),
    /** Sizes of the sets; left out: as even as can be near the game's usual number. */
    sets: z.array(z.number().int().min(1).max(40)).min(1).optional(),
  })
  .transform((visit, context) => {
    const game = gameOf(visit.game)
    const sets = visit.sets ?? splitIntoSets(visit.children, game.players)
    if (sets.reduce((sum, size) => sum + size, 0) !== visit.children)
      context.addIssue({
        code: 'custom',
        path: ['sets'],
        message: `The sets do not make ${visit.children} children.`,
      })
    sets.forEach((size, i) => {
      if (size > game.players.max)
        context.addIssue({
          code: 'custom',
          path: ['sets', i],
          message: `${game.title} takes at most ${game.players.max} players.`,
        })
    })
    const level =
      visit.level === undefined ? usualLevel(game) : game.levels.find(({ id }) => id === visit.level)
    if (!level) {
      context.addIssue({ code: 'custom', path: ['level'], message: `${game.title} has no such level.` })
      return z.NEVER
    }
    const params = game.params.safeParse(visit.params ?? level.params)
    if (!params.success) {
      for (const { path, message } of params.error.issues)
        context.addIssue({ code: 'custom', path: ['params', ...path], message })
      return z.NEVER
    }
    return { ...visit, sets, materials: game.materials(params.data) }
  })

export const materialsInputSchema = z.object({
  visits: z.array(visitSchema).min(1).max(500),
  inventory: z.record(z.string(), z.number().int().min(0).max(100_000)).default({}),
  /** Share of loose things added as spares. */
  spares: z.number().min(0).max(1).default(0.1),
})

export interface MaterialsAnswer {
  /** What to lay out at each station. */
  stations: Need[][]
  /** Things from the shelf, beside the inventory. */
  fetch: Stocked[]
  /** Pages, for all sessions together. */
  print: Need[]
  /** What nothing counted makes up for. */
  shopping: { item: string; count: number }[]
}

/** The materials of sessions: bags, what to fetch, to print and to buy. */
export function materialsFor({
  visits,
  inventory,
  spares,
}: z.output<typeof materialsInputSchema>): MaterialsAnswer {
  const stations = Math.max(...visits.map(({ station }) => station)) + 1
  const { all, stations: bags } = materialsOf(visits, stations, spares)
  const fetch = againstInventory(
    all.filter(({ thing }) => !isPrinted(thing)),
    inventory,
  )
  return {
    stations: bags,
    fetch,
    print: all.filter(({ thing }) => isPrinted(thing)),
    shopping: fetch.flatMap((need) => (toBuy(need) > 0 ? [{ item: need.item, count: toBuy(need) }] : [])),
  }
}
