import { z } from 'zod'
import { workedOn } from '@/core/house-style'
import { stepOf, topStep, type StepPlace } from '@/core/skills'
import { deleteNote } from '@/data/queries/notes'
import { houseStyleOf } from '@/data/queries/house-style'
import { childrenOf } from './children'
import { classIdSchema } from './classes'
import { changingClass, readingClass } from './use-case'

/** A child as somebody has a word about it: with the steps it works at. */
export interface NotedChild {
  id: string
  name: string
  steps: { place: StepPlace; short: string }[]
}

/** Everybody of whom something can be noted at any time of the day. */
export const quickNotePage = readingClass(
  'quickNotePage',
  classIdSchema,
  async (scope): Promise<NotedChild[]> => {
    const [children, style] = await Promise.all([childrenOf(scope), houseStyleOf(scope)])
    return children.map(({ id, name, followed, estimates }) => ({
      id,
      name,
      steps: workedOn(style)
        .filter((strand) => followed.includes(strand))
        .map((strand) => {
          const place = { strand, step: estimates[strand].workingStep ?? topStep(strand) }
          return { place, short: stepOf(place).short }
        }),
    }))
  },
)

/** A note is taken away for good: it was a word, no record that anything rests on. */
export const takeNoteAway = changingClass(
  'takeNoteAway',
  classIdSchema.extend({ noteId: z.uuid() }),
  (scope, { noteId }) => deleteNote(scope, noteId),
)
