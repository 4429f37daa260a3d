import type { YearGroup } from '@/core/evidence/prior'
import type { StrandId } from '@/core/skills'

/** How a made-up child's ability moves over the term, in logits. */
export interface DemoChild {
  name: string
  year: YearGroup
  /** Ability on `add` in the last week, in logits; the other strands follow it. */
  now: number
  growth: 'fast' | 'steady' | 'plateau'
  /** Weeks away, counted from 1. */
  away?: readonly number[]
  /** The week it came in, if it was not there from the first. */
  joins?: number
}

/** A class as it lived through some weeks. */
export interface DemoClass {
  name: string
  yearGroup: YearGroup
  weeks: number
  /** Days of the week with a session; 1 is Monday. */
  weekdays: readonly number[]
  /** The game that groups are made by, and how many. */
  gameId: string
  groups: number
  /** Strands it works on beside those every class is placed on. */
  taught: readonly StrandId[]
  children: readonly DemoChild[]
  apart: readonly (readonly [string, string])[]
  together: readonly (readonly [string, string])[]
}

export const growthPerWeek = { fast: 0.45, steady: 0.18, plateau: 0.02 } as const

const child = (
  name: string,
  year: YearGroup,
  now: number,
  growth: DemoChild['growth'] = 'steady',
  more: Pick<DemoChild, 'away' | 'joins'> = {},
): DemoChild => ({ name, year, now, growth, ...more })

/** Saltmarsh Primary, a made-up school on an estuary. No child, adult or school here is real. */
export const heron: DemoClass = {
  name: 'Heron Class',
  yearGroup: 'Year 1',
  weeks: 7,
  weekdays: [2, 3, 4],
  gameId: 'landfall',
  groups: 6,
  taught: ['count', 'order', 'place'],
  children: [
    child('Amara', 'Year 2', 14.6, 'fast'),
    child('Bo', 'Year 1', 6.4),
    child('Dario', 'Year 1', 12.4, 'fast'),
    child('Elif', 'Year 2', 13.2),
    child('Farid', 'Year 1', 9.0, 'fast'),
    child('Hana', 'Year 2', 13.0),
    child('Idris', 'Year 2', 15.6, 'fast'),
    child('Ines', 'Year 1', 8.2),
    child('Jonas', 'Year 1', 8.6),
    child('Kofi', 'Year 1', 12.9, 'fast'),
    child('Leo', 'Year 1', 5.6, 'plateau'),
    child('Lian', 'Year 2', 18.8),
    child('Mei', 'Year 1', 7.0),
    child('Noor', 'Year 2', 18.4),
    child('Nour', 'Year 1', 8.0),
    child('Oskar', 'Year 2', 18.6, 'plateau'),
    child('Paulo', 'Year 2', 12.8),
    child('Rosa', 'Year 2', 15.4),
    child('Sami', 'Year 2', 13.3),
    child('Tomasz', 'Year 2', 12.6, 'steady', { away: [4, 5, 6] }),
    child('Uma', 'Year 2', 15.8, 'fast'),
    child('Vik', 'Year 2', 15.2),
    child('Wren', 'Year 2', 15.3, 'plateau'),
    child('Yusuf', 'Year 1', 6.8, 'plateau'),
    child('Zoe', 'Year 2', 19.6, 'fast'),
    child('Ana', 'Year 1', 6.2, 'steady', { joins: 6 }),
  ],
  apart: [['Leo', 'Farid']],
  together: [['Uma', 'Vik']],
}

const inReception = [
  'Aiko', 'Bilal', 'Clio', 'Dewi', 'Esra', 'Finn', 'Gita', 'Hugo', 'Imani', 'Joon', 'Kaia',
  'Luca', 'Mara', 'Nilo', 'Orla', 'Petra', 'Remy', 'Sol', 'Tove', 'Umar', 'Vera', 'Xavi',
] // prettier-ignore

export const curlew: DemoClass = {
  name: 'Curlew Class',
  yearGroup: 'Reception',
  weeks: 4,
  weekdays: [1, 4],
  gameId: 'tower-bay',
  groups: 5,
  taught: ['count'],
  children: inReception.map((name, i) =>
    child(
      name,
      'Reception',
      1 + ((i * 7) % 22) * 0.2,
      i % 5 === 2 ? 'plateau' : i % 4 === 1 ? 'fast' : 'steady',
    ),
  ),
  apart: [],
  together: [],
}
