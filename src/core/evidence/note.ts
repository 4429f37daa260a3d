import { z } from 'zod'

/** What a note is about, so that it can be found again: common practice, no source. */
export const noteTags = ['maths', 'talk', 'together', 'keeping-at-it', 'home'] as const
export type NoteTag = (typeof noteTags)[number]

/** A note is a sentence or two, not a report. */
export const mostLetters = 500

/** Words about a child, at a visit or at any other time of the day. */
export const noteSchema = z.object({
  /** Made by the device, so that a note sent twice is kept once. */
  id: z.uuid(),
  pupilId: z.uuid(),
  visitId: z.uuid().nullable().default(null),
  words: z.string().trim().min(1, 'There is nothing in the note.').max(mostLetters),
  tags: z.array(z.enum(noteTags)).max(noteTags.length).default([]),
  madeAt: z.iso.datetime({ offset: true }),
})
