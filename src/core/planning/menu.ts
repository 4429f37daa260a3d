import { z } from 'zod'

const id = z.string().min(1).max(100)

/** A session without rotation: children take task cards as long as there are places. */
export const menuInputSchema = z
  .object({
    slots: z.number().int().min(1).max(12),
    cards: z
      .array(z.object({ id, places: z.number().int().min(1).max(60) }))
      .min(1)
      .max(16),
    groups: z
      .array(
        z.object({
          id,
          children: z.number().int().min(1).max(60),
          /** Cards each child of the group does once. */
          must: z.array(id).default([]),
          /** Cards a child may take beside these, as often as it likes; left out: all. */
          may: z.array(id).optional(),
        }),
      )
      .min(1)
      .max(12),
  })
  .superRefine(({ cards, groups }, context) => {
    const known = new Set(cards.map((card) => card.id))
    groups.forEach(({ must, may = [] }, g) => {
      for (const [list, name] of [
        [must, 'must'],
        [may, 'may'],
      ] as const)
        list.forEach((card, i) => {
          if (!known.has(card))
            context.addIssue({ code: 'custom', path: ['groups', g, name, i], message: `No card “${card}”.` })
        })
    })
  })

export type MenuInput = z.output<typeof menuInputSchema>

export interface MenuCheck {
  /** Every child can be at a card in every slot and do all it must. */
  enough: boolean
  /** Groups that must do more cards than there are slots. */
  tooManyMust: { group: string; must: number; slots: number }[]
  /** Cards that more children must do than have a place in all slots together. */
  mustShort: { card: string; children: number; places: number }[]
  /** The fewest groups for whom the cards they may take leave too few places, counted over all slots. */
  short: { groups: string[]; turns: number; places: number } | null
}

/**
 * Checks that the places of a menu suffice. What counts is the sum over all slots: if every child has
 * `slots` turns and no card more than `places · slots`, the turns can be spread over the slots so that no card is
 * ever over its places (edge colouring of bipartite graphs; König 1916, from memory). Whether such turns
 * exist is Hall's condition for every set of groups (Hall 1935), what must be done taken out first.
 */
export function checkMenu({ slots, cards, groups }: MenuInput): MenuCheck {
  const mustOf = groups.map(({ must }) => new Set(must))
  const tooManyMust = groups.flatMap((group, g) =>
    mustOf[g].size > slots ? [{ group: group.id, must: mustOf[g].size, slots }] : [],
  )
  const wanted = cards.map((card) =>
    groups.reduce((sum, { children }, g) => sum + (mustOf[g].has(card.id) ? children : 0), 0),
  )
  const mustShort = cards.flatMap(({ id: card, places }, c) =>
    wanted[c] > places * slots ? [{ card, children: wanted[c], places: places * slots }] : [],
  )
  const free = cards.map(({ places }, c) => Math.max(0, places * slots - wanted[c]))
  const turns = groups.map(({ children }, g) => children * Math.max(0, slots - mustOf[g].size))
  const short = fewestShort(groups, cards, free, turns)
  return {
    enough: tooManyMust.length + mustShort.length === 0 && short === null,
    tooManyMust,
    mustShort,
    short,
  }
}

/** The smallest set of groups whose turns outnumber the places of the cards open to any of them. */
function fewestShort(
  groups: MenuInput['groups'],
  cards: MenuInput['cards'],
  free: readonly number[],
  turns: readonly number[],
): MenuCheck['short'] {
  let worst: MenuCheck['short'] = null
  for (let set = 1; set < 1 << groups.length; set++) {
    const within = groups.filter((_, g) => set & (1 << g))
    if (worst && within.length >= worst.groups.length) continue
    const open = cards.map(({ id: card }) =>
      within.some(({ must, may }) => (may === undefined ? true : may.includes(card) || must.includes(card))),
    )
    const places = free.reduce((sum, own, c) => sum + (open[c] ? own : 0), 0)
    const needed = turns.reduce((sum, own, g) => sum + (set & (1 << g) ? own : 0), 0)
    if (needed > places) worst = { groups: within.map((group) => group.id), turns: needed, places }
  }
  return worst
}
