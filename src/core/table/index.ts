export {
  beside,
  circle,
  grid,
  hundredGrid,
  onTable,
  place,
  ring,
  stacked,
  trackRows,
  type Layout,
  type Spot,
} from './layout'
export { edited, editsBetween, type Edit, type Scene, type SceneThing, type Viewer } from './scene'
export type { MoveWords, Table } from './table'
export { groups, numeral, pattern, pips, wheel, words, type Face } from '../things/face'
