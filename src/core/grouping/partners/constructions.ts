import type { Chance } from '../../chance/chance'
import { arrange } from './meetings'

/** Groups by round, children counted from 0. */
export type Rounds = number[][][]

const isPrime = (n: number) =>
  n > 1 && !Array.from({ length: n - 2 }, (_, i) => i + 2).some((d) => n % d === 0)

/**
 * q² children in groups of q, q a prime: the lines of the affine plane over the numbers modulo q, one
 * direction a round (q + 1 rounds in which every two meet once). Null for other numbers.
 */
export function affinePlane(children: number, size: number): Rounds | null {
  if (children !== size * size || !isPrime(size)) return null
  const all = Array.from({ length: size }, (_, i) => i)
  const point = (x: number, y: number) => x * size + y
  const upright = all.map((x) => all.map((y) => point(x, y)))
  const slopes = all.map((slope) => all.map((c) => all.map((x) => point(x, (slope * x + c) % size))))
  return [upright, ...slopes]
}

/**
 * q groups of up to q children, q a prime: as many rows of q as a group has children, and each round shifts the rows
 * against each other by another slope (a transversal design; Bose, Shrikhande and Parker 1960, Canadian Journal of
 * Mathematics 12:189). Nobody meets twice in q rounds. Null for other numbers.
 */
export function shiftedRows(children: number, size: number): Rounds | null {
  const q = children / size
  if (!Number.isInteger(q) || q < size || !isPrime(q)) return null
  const rows = Array.from({ length: size }, (_, row) => row)
  return Array.from({ length: q }, (_, slope) =>
    Array.from({ length: q }, (_, shift) => rows.map((row) => row * q + ((slope * row + shift) % q))),
  )
}

/** Swaps weighed up for one base round; it is a small puzzle or has no solution. */
const baseTries = 400_000

/**
 * One base round that is turned round: the children but one, or all, sit in circles of as many places as
 * there are rounds, and everybody moves on by one place from round to round. If no difference of places
 * comes twice in the base round, no two meet twice. For groups of two it is the table of a tournament.
 * @returns all the rounds in which each could meet all others once; null if no such round is found
 */
export function turnedRound(children: number, size: number, chance: Chance): Rounds | null {
  const rounds = (children - 1) / (size - 1)
  const fixed = children % rounds
  if (!Number.isInteger(rounds) || children % size !== 0 || fixed > 1 || rounds < 2) return null
  const circle = (child: number) => Math.floor(child / rounds)
  const place = (child: number) => child % rounds
  const circles = (children - fixed) / rounds
  const middle = (child: number) => fixed === 1 && child === children - 1
  const classes = circles * circles * rounds + circles
  const classOf = new Int32Array(children * children)
  const room = new Float64Array(classes).fill(1)
  for (let a = 0; a < children; a++)
    for (let b = 0; b < children; b++) {
      if (a === b) continue
      const [low, high] = [Math.min(a, b), Math.max(a, b)]
      if (middle(high)) {
        classOf[a * children + b] = circles * circles * rounds + circle(low)
        continue
      }
      const apart = (place(high) - place(low) + rounds) % rounds
      // Within a circle a difference and what is left of the round are one.
      const difference = circle(low) === circle(high) ? Math.min(apart, rounds - apart) : apart
      const at = (circle(low) * circles + circle(high)) * rounds + difference
      classOf[a * children + b] = at
      // Half a circle apart: turned by half the rounds, the two would meet again.
      if (circle(low) === circle(high) && 2 * difference === rounds) room[at] = 0
    }
  const sizes = Array<number>(children / size).fill(size)
  const { rounds: base, excess } = arrange({ children, sizes, rounds: 1, classOf, room }, chance, baseTries)
  if (excess > 0) return null
  const turned = (child: number, by: number) =>
    middle(child) ? child : circle(child) * rounds + ((place(child) + by) % rounds)
  return Array.from({ length: rounds }, (_, by) =>
    base[0].map((group) => group.map((child) => turned(child, by))),
  )
}
