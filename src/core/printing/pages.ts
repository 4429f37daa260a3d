import type { Pile, Settings } from './item'
import { packed, type Page } from './pack'
import type { Backs, PaperId } from './paper'
import { mostCopies, mostPages, mostPieces, TooMuch } from './too-much'

export interface Job extends Settings {
  paper: PaperId
  backs: Backs
  /** How many of each item, by its id; what is not named isn't printed. */
  counts: Readonly<Record<string, number>>
}

/**
 * The pages of a job, bag after bag. The same job gives the same pages.
 * @throws {TooMuch} for more pages than {@link mostPages}
 */
export function pagesOf({ bundles }: Pile, { counts, paper, backs, ...settings }: Job): Page[] {
  let pieces = 0
  const sheaves = bundles.map(({ title, items }) => ({
    title,
    parts: items.flatMap((item) => {
      const count = counts[item.id] ?? 0
      if (count <= 0) return []
      if (count > mostCopies || pieces > mostPieces) throw new TooMuch(null)
      const part = item.part(count, settings)
      pieces += part.pieces.length
      return [part]
    }),
  }))
  if (pieces > mostPieces) throw new TooMuch(null)
  const pages = packed(sheaves, { paper, backs, seed: settings.seed })
  if (pages.length > mostPages) throw new TooMuch(pages.length)
  return pages
}
