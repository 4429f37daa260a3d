import { z } from 'zod'
import { hasStep, slipReasons, strandIds } from '../skills'
import { judgements } from './observation'

/** Of a digital station: the step its tasks were at, how often a guess is right, and why answers were wrong. */
export const digitalSchema = z
  .object({
    strand: z.enum(strandIds),
    step: z.string().max(60),
    guess: z.number().min(0).max(0.9),
    slips: z
      .array(z.object({ reason: z.enum(slipReasons), count: z.number().int().min(1).max(100) }))
      .max(slipReasons.length),
  })
  .refine(hasStep, { path: ['step'], error: 'The strand has no such step.' })

/** How a child did it, where an adult had the time to say: each part can be left open. */
export const howSchema = z.object({
  /** Of those to listen for at the step. */
  strategy: z.string().max(40).nullable().default(null),
  /** With things in the hand, where others did without. */
  objects: z.boolean().default(false),
  explained: z.boolean().default(false),
  slip: z.enum(slipReasons).nullable().default(null),
})
export type How = z.output<typeof howSchema>

/** A step of a strand. */
const placeSchema = z
  .object({ strand: z.enum(strandIds), step: z.string().max(60) })
  .refine(hasStep, { path: ['step'], error: 'The strand has no such step.' })

/**
 * What was seen of a child at a visit, or of a step at any other time: a judgement or a tally that an adult tapped, a tally of a digital station,
 * or neither to take back what stood. The one shape of a mark, in the device's queue, on its way and where it is stored.
 */
export const markSchema = z
  .object({
    /** Made by the device, so that a mark sent twice is stored once. */
    id: z.uuid(),
    /** Who saw it: the device in whose hand it was tapped; of a digital station each play for itself. */
    observer: z.uuid(),
    /** Null: it was seen outside a session, and says itself of which step. */
    visitId: z.uuid().nullable(),
    at: placeSchema.nullable().default(null),
    pupilId: z.uuid(),
    judged: z.enum(judgements).nullable().default(null),
    right: z.number().int().min(0).max(100).nullable().default(null),
    of: z.number().int().min(1).max(100).nullable().default(null),
    /** Null: an adult saw it. */
    digital: digitalSchema.nullable().default(null),
    how: howSchema.nullable().default(null),
    /** A tally of what a child wrote by itself, read from its sheet afterwards. */
    sheet: z.boolean().default(false),
    /** The mark that stood on the device when this one was tapped. */
    corrects: z.uuid().nullable().default(null),
    madeAt: z.iso.datetime({ offset: true }),
  })
  .refine(({ visitId, at }) => (visitId === null) === (at !== null), {
    path: ['at'],
    error: 'Either a visit or a step.',
  })
  .refine(({ right, of }) => (right === null) === (of === null), {
    path: ['of'],
    error: 'A tally needs both numbers.',
  })
  .refine(({ right, of }) => right === null || of === null || right <= of, {
    path: ['right'],
    error: 'More right than asked.',
  })
  .refine(({ judged, of }) => judged === null || of === null, {
    path: ['judged'],
    error: 'Either a mark or a tally.',
  })
  .refine(({ judged, digital }) => judged === null || digital === null, {
    path: ['judged'],
    error: 'A digital station judges nobody.',
  })
  .refine(({ judged, digital, sheet }) => !sheet || (judged === null && digital === null), {
    path: ['sheet'],
    error: 'A sheet holds a tally.',
  })

export type Mark = z.output<typeof markSchema>
export type MarkValue = Pick<Mark, 'judged' | 'right' | 'of'>
export type Digital = z.output<typeof digitalSchema>

export const noValue: MarkValue = { judged: null, right: null, of: null }

/** True if something is said of the child; a bare take-back says nothing. */
export const saysSomething = ({ judged, of }: MarkValue): boolean => judged !== null || of !== null

export const sameValue = (a: MarkValue, b: MarkValue): boolean =>
  a.judged === b.judged && a.right === b.right && a.of === b.of

interface Made {
  id: string
  madeAt: Date
  storedAt: Date
}

/**
 * Of the marks of one observer for one child, visit and step the one that was made last: it stands, unless it
 * takes back. In whatever order they arrive, and whichever the device thought it corrected, it is the same one; only
 * where a wrong clock has made two of them of one moment, the one that came later.
 */
export function lastMade<T extends Made>(chain: readonly T[]): T {
  return chain.reduce((last, one) => {
    const later =
      one.madeAt.getTime() - last.madeAt.getTime() || one.storedAt.getTime() - last.storedAt.getTime()
    return later > 0 || (later === 0 && one.id > last.id) ? one : last
  })
}

/**
 * When a mark was made, as far as it can be believed: a device's clock may be wrong, but nothing was seen before
 * the session had begun, and nothing is seen in the future.
 */
export function believedMoment(said: Date, begunAt: Date, receivedAt: Date): Date {
  if (said > receivedAt) return receivedAt
  return said < begunAt ? begunAt : said
}

/** How far a record is trusted: an adult saw it, a digital station counted it, or it stands on a sheet nobody watched. */
export const weightOf = ({ digital, sheet }: Pick<Mark, 'digital' | 'sheet'>): number =>
  digital !== null ? 0.8 : sheet ? 0.5 : 1

/**
 * Who stands behind what is typed in from children's sheets on a device: somebody beside the adult whose device it is,
 * so that neither corrects the other. The same for the same device.
 */
export const readerBeside = (observer: string): string =>
  observer.slice(0, -1) + (parseInt(observer.slice(-1), 16) ^ 8).toString(16)
