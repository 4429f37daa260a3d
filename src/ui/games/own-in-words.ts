import { z } from 'zod'
import { oneDecimal, inHundred, spelled } from '../words'

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
    score && `Best play leaves ${oneDecimal(score.mean)} uncovered on average.`,
    cleared !== undefined && `Playing for it, all is covered ${inHundred(cleared)} times in 100.`,
    catchShare !== undefined && `${inHundred(catchShare)} fresh deals in 100 hold a catch.`,
    cards !== undefined && `There are ${cards} different cards.`,
    questionsAtMost !== undefined && `Halving takes ${spelled(questionsAtMost)} questions at most.`,
    calls && `Called: ${calls.join(', ')}.`,
    turnsTogether &&
      turnsTogether.length > 0 &&
      `Two turns follow at once at ${turnsTogether.map((number) => `${number - 1} and ${number}`).join(', ')}.`,
  ].filter((sentence) => typeof sentence === 'string')
}
