import { z } from 'zod'

const whole = z.number().int().min(0)
const several = z.number().int().min(1)

/** What the faces of a set of picture cards show. */
const pictures = ['dots in two groups', 'dice dots', 'fingers', 'ten frames', 'tens and ones'] as const

/**
 * Everything that lies on a table or is fetched for it, as a value: two things are the same if their
 * values are equal. Numbers are counts, ends of ranges, or sides of a device.
 */
export const thingSchema = z.discriminatedUnion('kind', [
  // What gives the numbers.
  z.object({ kind: z.literal('die'), sides: several }),
  z.object({ kind: z.literal('spinner'), sectors: z.union([several, z.literal('more and less')]) }),
  z.object({
    kind: z.literal('number cards'),
    from: whole,
    to: whole,
    by: several.default(1),
    copies: several.default(1),
    /** Only so many of them, as they come: nobody cuts out a thousand cards. */
    some: several.nullable().default(null),
  }),
  z.object({
    kind: z.literal('picture cards'),
    shows: z.enum(pictures),
    from: whole,
    to: whole,
    copies: several.default(1),
  }),
  z.object({ kind: z.literal('dominoes'), to: several }),
  // Loose things and what holds them.
  z.object({ kind: z.literal('counter'), own: z.boolean().default(false) }),
  z.object({ kind: z.literal('pebble') }),
  z.object({ kind: z.literal('token') }),
  /** Coins of 1, 2, 5 … up to the largest, so many of each. */
  z.object({ kind: z.literal('coins'), to: several, copies: several }),
  z.object({ kind: z.literal('marker'), target: z.boolean().default(false) }),
  z.object({ kind: z.literal('cube'), colour: z.enum(['any', 'first', 'second', 'third']).default('any') }),
  z.object({ kind: z.literal('base-ten one') }),
  z.object({ kind: z.literal('base-ten ten') }),
  z.object({ kind: z.literal('base-ten hundred') }),
  z.object({ kind: z.literal('rod'), length: several }),
  z.object({ kind: z.literal('pin') }),
  z.object({ kind: z.literal('ball') }),
  z.object({ kind: z.literal('net') }),
  z.object({ kind: z.literal('tray') }),
  z.object({ kind: z.literal('cup') }),
  z.object({ kind: z.literal('chest') }),
  z.object({ kind: z.literal('screen') }),
  z.object({ kind: z.literal('rope') }),
  z.object({ kind: z.literal('find') }),
  // What one writes with and reads from.
  z.object({ kind: z.literal('pencil') }),
  z.object({ kind: z.literal('pen') }),
  z.object({ kind: z.literal('sleeve') }),
  z.object({ kind: z.literal('whiteboard') }),
  z.object({ kind: z.literal('timer') }),
  z.object({ kind: z.literal('clock') }),
  // Boards, mats, sheets and cards that are printed.
  z.object({ kind: z.literal('track'), from: whole, to: whole, squalls: z.array(several).default([]) }),
  z.object({
    kind: z.literal('number line'),
    to: several,
    marks: z.enum(['all', 'some', 'ends']).default('all'),
  }),
  z.object({ kind: z.literal('hundred grid'), to: several }),
  z.object({ kind: z.literal('frame'), cells: z.union([z.literal(5), z.literal(10), z.literal(20)]) }),
  z.object({ kind: z.literal('mat') }),
  z.object({ kind: z.literal('hundreds mat') }),
  z.object({ kind: z.literal('strip'), to: several }),
  z.object({ kind: z.literal('cover strip') }),
  /** A board of one game: which, and what tells it from the game's other boards. */
  z.object({ kind: z.literal('board'), name: z.string().min(1), shows: z.string().min(1) }),
  z.object({ kind: z.literal('line card'), size: several, shows: z.string().min(1) }),
  z.object({ kind: z.literal('sheet'), columns: z.string().min(1) }),
  z.object({ kind: z.literal('sum cards'), to: several, pairs: several }),
  z.object({
    kind: z.literal('triangle cards'),
    op: z.enum(['add', 'multiply']),
    to: several,
    /** One of the two parts is among these; null: any. */
    among: z.array(several).min(1).nullable().default(null),
  }),
  z.object({
    kind: z.literal('time cards'),
    every: z.union([z.literal(60), z.literal(30), z.literal(15), z.literal(5)]),
  }),
  z.object({ kind: z.literal('question cards'), about: z.string().min(1) }),
  z.object({ kind: z.literal('claim strips'), about: z.string().min(1) }),
  z.object({ kind: z.literal('line-up cards'), shows: z.string().min(1), from: whole, to: whole }),
  z.object({ kind: z.literal('creature halves'), half: z.enum(['top', 'bottom']), from: whole, to: whole }),
  z.object({ kind: z.literal('pattern strip'), pattern: z.string().min(1) }),
  z.object({ kind: z.literal('list') }),
  z.object({ kind: z.literal('table'), of: z.string().min(1) }),
])

/** A thing with everything said that can be said of it. */
export type Thing = z.output<typeof thingSchema>
export type ThingKind = Thing['kind']
export type ThingOf<K extends ThingKind> = Extract<Thing, { kind: K }>

/** A thing of the given kind; what is left out has its usual value. @throws if the values make no such thing */
export function thing(value: z.input<typeof thingSchema>): Thing {
  return thingSchema.parse(value)
}

/** Equal for equal things, whatever the order in which their fields were written. */
export function thingKey(one: Thing): string {
  return JSON.stringify(Object.entries(one).sort(([a], [b]) => (a < b ? -1 : 1)))
}
