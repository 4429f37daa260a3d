import type { YearGroup } from '@/core/evidence/prior'

/** How a made-up child's ability moves over the term, in logits. */
export interface DemoChild {
  name: string
  year: YearGroup
  /** Ability on `add` in the last week, in logits; the other strands follow it. */
  now: number
  growth: 'fast' | 'steady' | 'plateau'
  /** Weeks away, counted from 1. */
  away?: readonly number[]
}

export const growthPerWeek = { fast: 0.45, steady: 0.18, plateau: 0.02 } as const

const child = (
  name: string,
  year: YearGroup,
  now: number,
  growth: DemoChild['growth'] = 'steady',
  away?: number[],
): DemoChild => ({
  name,
  year,
  now,
  growth,
  away,
})

/** Saltmarsh Primary, a made-up school on an estuary. No child, adult or school here is real. */
export const heron = {
  name: 'Heron Class',
  yearGroup: 'Year 1' as const,
  weeks: 7,
  /** Tuesday, Wednesday, Thursday. */
  weekdays: [2, 3, 4],
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
    child('Tomasz', 'Year 2', 12.6, 'steady', [4, 5, 6]),
    child('Uma', 'Year 2', 15.8, 'fast'),
    child('Vik', 'Year 2', 15.2),
    child('Wren', 'Year 2', 15.3, 'plateau'),
    child('Yusuf', 'Year 1', 6.8, 'plateau'),
    child('Zoe', 'Year 2', 19.6, 'fast'),
    child('Ana', 'Year 1', 6.2),
  ],
  apart: ['Leo', 'Farid'],
  together: ['Uma', 'Vik'],
}

export const curlew = {
  name: 'Curlew Class',
  yearGroup: 'Reception' as const,
  children: [
    'Aiko', 'Bilal', 'Clio', 'Dewi', 'Esra', 'Finn', 'Gita', 'Hugo', 'Imani', 'Joon', 'Kaia',
    'Luca', 'Mara', 'Nilo', 'Orla', 'Petra', 'Remy', 'Sol', 'Tove', 'Umar', 'Vera', 'Xavi',
  ], // prettier-ignore
}
