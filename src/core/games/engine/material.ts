import { thing, type Thing } from '../../things'

/** What the children of one set need: per set, whatever their number, and per player. */
export interface Material {
  thing: Thing
  perPlayer?: number
  perSet?: number
}

/** So many of a thing for the set. */
export const perSet = (value: Parameters<typeof thing>[0], count = 1): Material => ({
  thing: thing(value),
  perSet: count,
})

/** So many of a thing for each player. */
export const perPlayer = (value: Parameters<typeof thing>[0], count = 1): Material => ({
  thing: thing(value),
  perPlayer: count,
})
