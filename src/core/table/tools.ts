import { z } from 'zod'
import type { Chance } from '../chance/chance'
import { numeral, pips, wheel, type Face } from '../things/face'
import { grid, hundredGrid, onTable, place, trackRows, type Layout } from './layout'
import type { Scene, SceneThing } from './scene'

export const toolIds = ['dice', 'spinner', 'cards', 'line', 'grid', 'frames', 'clock'] as const
export type ToolId = (typeof toolIds)[number]

/** What can be set of a tool; each uses what it needs. */
const toolSettingsSchema = z.object({
  /** Dice at once. */
  count: z.number().int().min(1).max(3).default(2),
  sides: z.union([z.literal(6), z.literal(10), z.literal(20)]).default(6),
  sectors: z.number().int().min(2).max(12).default(5),
  /** Cards of a pack, ends of a line. */
  from: z.number().int().min(0).max(1000).default(0),
  to: z.number().int().min(1).max(1000).default(20),
  cells: z.union([z.literal(5), z.literal(10), z.literal(20)]).default(10),
})
export type ToolSettings = z.output<typeof toolSettingsSchema>

/** A thing used by itself before the class: plain data. */
export interface Tool {
  id: ToolId
  settings: ToolSettings
  /** What was rolled, spun or drawn last. */
  shown: readonly number[]
  /** Cards drawn since the pack was shuffled. */
  drawn: readonly number[]
  /** Spots that were tapped. */
  marked: readonly string[]
  /** Minutes after twelve on the clock. */
  minutes: number
}

export const newTool = (id: ToolId, settings: Partial<ToolSettings> = {}): Tool => ({
  id,
  settings: toolSettingsSchema.parse(settings),
  shown: [],
  drawn: [],
  marked: [],
  minutes: 180,
})

const spotId = (n: number) => `spot-${n}`

/** Most numbers of a line that can still be read. */
const longest = 120

/** Where the tool's things lie: of its settings alone. */
export function toolLayout({ id, settings }: Tool): Layout {
  switch (id) {
    case 'dice':
      return onTable(
        grid(
          Array.from({ length: settings.count }, (_, i) => ({ id: spotId(i), shape: 'area' as const })),
          settings.count,
          [22, 22],
          8,
        ),
        8,
      )
    case 'spinner':
      return onTable(place('wheel', [110, 110]))
    case 'cards':
      return onTable(
        grid(
          [
            { id: 'pack', shape: 'area' },
            { id: 'open', shape: 'area' },
          ],
          2,
          [60, 84],
          16,
        ),
        14,
      )
    case 'line':
      return onTable(
        trackRows(settings.from, Math.min(settings.to, settings.from + longest), (n) => ({
          id: spotId(n),
          shape: 'circle',
          face: numeral(n),
        })),
        10,
      )
    case 'grid':
      return onTable(hundredGrid(100, (n) => ({ id: spotId(n), shape: 'square', face: numeral(n) })))
    case 'frames':
      return onTable(
        grid(
          Array.from({ length: settings.cells }, (_, i) => ({ id: spotId(i), shape: 'square' as const })),
          5,
          [24, 24],
          0,
        ),
        14,
      )
    case 'clock':
      return onTable(place('clock', [120, 120]))
  }
}

/** What lies there now. */
export function toolScene({ id, settings, shown, drawn, marked, minutes }: Tool): Scene {
  const lie = (
    thingId: string,
    kind: SceneThing['kind'],
    at: string,
    face: Face | null,
    many?: number,
  ): SceneThing => ({
    id: thingId,
    kind,
    owner: null,
    at,
    face,
    ...(many === undefined ? {} : { many }),
  })
  switch (id) {
    case 'dice':
      return {
        things: Array.from({ length: settings.count }, (_, i) => {
          const n = shown[i]
          return lie(
            `die-${i}`,
            'die',
            spotId(i),
            n === undefined ? null : settings.sides === 6 ? pips(n) : numeral(n),
          )
        }),
      }
    case 'spinner':
      return { things: [lie('wheel', 'spinner', 'wheel', wheel(settings.sectors, shown[0] ?? null))] }
    case 'cards': {
      const left = settings.to - settings.from + 1 - drawn.length
      return {
        things: [
          ...(left > 0 ? [lie('pack', 'number cards', 'pack', null, left)] : []),
          ...(shown.length > 0 ? [lie('card', 'number cards', 'open', numeral(shown[0]))] : []),
        ],
      }
    }
    case 'line':
    case 'grid':
      return { things: marked.map((at) => lie(`mark ${at}`, 'counter', at, null)) }
    case 'frames':
      return { things: marked.map((at) => lie(`mark ${at}`, 'counter', at, null)) }
    case 'clock':
      return { things: [lie('clock', 'clock', 'clock', { kind: 'clock', minutes })] }
  }
}

/** Rolls, spins or draws. A pack that is through is shuffled first. */
export function used(tool: Tool, chance: Chance): Tool {
  const { id, settings, drawn } = tool
  if (id === 'dice')
    return { ...tool, shown: Array.from({ length: settings.count }, () => chance.int(1, settings.sides)) }
  if (id === 'spinner') return { ...tool, shown: [chance.int(1, settings.sectors)] }
  if (id !== 'cards') return tool
  const all = Array.from({ length: settings.to - settings.from + 1 }, (_, i) => settings.from + i)
  const out = drawn.length < all.length ? drawn : []
  const left = all.filter((card) => !out.includes(card))
  const card = left[chance.int(0, left.length - 1)]
  return { ...tool, shown: [card], drawn: [...out, card] }
}

/** A place is covered, or uncovered again. */
export const tapped = (tool: Tool, spot: string): Tool => ({
  ...tool,
  marked: tool.marked.includes(spot) ? tool.marked.filter((one) => one !== spot) : [...tool.marked, spot],
})

/** A frame filled fives first with so many. */
export const filled = (tool: Tool, count: number): Tool => ({
  ...tool,
  marked: Array.from({ length: Math.max(0, Math.min(count, tool.settings.cells)) }, (_, i) => spotId(i)),
})

/** The clock put on or back. */
export const turned = (tool: Tool, by: number): Tool => ({
  ...tool,
  minutes: (((tool.minutes + by) % 720) + 720) % 720,
})

/** Tools whose places are tapped. */
export const isTapped = ({ id }: Tool) => id === 'line' || id === 'grid' || id === 'frames'
/** Tools that are rolled, spun or drawn from. */
export const isUsed = ({ id }: Tool) => id === 'dice' || id === 'spinner' || id === 'cards'
