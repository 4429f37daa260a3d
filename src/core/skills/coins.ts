import { z } from 'zod'

/** What the coins of the games are worth, the largest first. */
export const coinValues = [50, 20, 10, 5, 2, 1] as const
export type CoinValue = (typeof coinValues)[number]

/**
 * The fewest coins that pay a price exactly, the largest first. With these values, not with any, taking the largest that
 * fits is always shortest: the test holds it to an exhaustive search.
 */
export function fewestCoins(price: number): CoinValue[] {
  const coins: CoinValue[] = []
  let left = price
  for (const value of coinValues)
    while (left >= value) {
      coins.push(value)
      left -= value
    }
  return coins
}

/** What a class calls its coins: made up, or as they are called where it is. */
export const coinageSchema = z.enum(['shells', 'pence', 'cents'])
export type Coinage = z.infer<typeof coinageSchema>

const single: Record<Coinage, string> = { shells: 'shell', pence: 'penny', cents: 'cent' }

/** Texts are written in shells; a class reads them in what it calls its coins. */
export function inCoinage(text: string, coinage: Coinage): string {
  if (coinage === 'shells') return text
  return text
    .replace(/\bShells\b/g, coinage[0].toUpperCase() + coinage.slice(1))
    .replace(/\bshells\b/g, coinage)
    .replace(/\bshell\b/g, single[coinage])
}
