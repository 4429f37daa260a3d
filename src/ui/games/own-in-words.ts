import { z } from 'zod'
import { few, hundredths, lower } from '../words'

const ownSchema = z.object({
  score: z.object({ mean: z.number() }).optional(),
  cleared: z.number().optional(),
  catchShare: z.number().optional(),
  cards: z.number().optional(),
  questionsAtMost: z.number().optional(),
  calls: z.array(z.number()).optional(),
  turnsTogether: z.array(z.number()).optional(),
})

/** Figures that only one game has, as sentences. */
export function ownInWords(own: Record<string, unknown>): string[] {
  const { score, cleared, catchShare, cards, questionsAtMost, calls, turnsTogether } = ownSchema.parse(own)
  return [
    score && `Best play leaves ${few(score.mean)} uncovered on average.`,
    cleared !== undefined && `Playing for it, all is covered ${hundredths(cleared)} times in 100.`,
    catchShare !== undefined && `${hundredths(catchShare)} fresh deals in 100 hold a catch.`,
    cards !== undefined && `There are ${cards} different cards.`,
    questionsAtMost !== undefined && `Halving takes ${lower(questionsAtMost)} questions at most.`,
    calls && `Called: ${calls.join(', ')}.`,
    turnsTogether &&
      turnsTogether.length > 0 &&
      `Two turns follow at once at ${turnsTogether.map((number) => `${number - 1} and ${number}`).join(', ')}.`,
  ].filter((sentence) => typeof sentence === 'string')
}
