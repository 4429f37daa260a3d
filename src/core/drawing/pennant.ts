import { pennantShapes, type PennantShape } from '../grouping/pennants'
import { line, type Mark } from './marks'
import { scaled } from './scaled'

/** Shapes by which groups are told, colour or no colour; from (0, 0), at most 24 wide and 16 high. */
export const pennantOutlines: Record<PennantShape, string> = {
  triangle: 'M0,0L22,8L0,16Z',
  square: 'M0,0H18V16H0Z',
  swallowtail: 'M0,0H24L17,8L24,16H0Z',
  diamond: 'M0,8L10,0L20,8L10,16Z',
  plus: 'M6,0H14V4H20V12H14V16H6V12H0V4H6Z',
  hourglass: 'M0,0H20L12,8L20,16H0L8,8Z',
  arch: 'M0,16V8A9,8 0 0 1 18,8V16H13V9A4,4 0 0 0 5,9V16Z',
  chevron: 'M0,0H14L22,8L14,16H0L8,8Z',
}

/** The mark of a group from (0, 0), so high; on paper its shape alone tells it. */
export const pennantMark = (number: number, height: number): Mark =>
  scaled(line(pennantOutlines[pennantShapes[number]], 'ink', 0.8, 'veil'), height / 16)
