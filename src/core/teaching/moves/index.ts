import type { SlipReason } from '../../skills'
import { addingMoves } from './adding'
import { besideMoves } from './beside'
import { comparingMoves } from './comparing'
import { countingMoves } from './counting'
import { groupMoves } from './groups-and-coins'
import { tensMoves } from './tens'
import type { TeachingMove } from './move'

const moves = {
  ...countingMoves,
  ...comparingMoves,
  ...addingMoves,
  ...tensMoves,
  ...groupMoves,
  ...besideMoves,
}

export type MoveId = keyof typeof moves

/** Each is meant for the carpet edge or the table, with what lies there; every slip that leaves a wrong number has one. */
export const teachingMoves: Record<MoveId, TeachingMove> & Record<SlipReason, TeachingMove> = moves

export const moveOf = (id: MoveId): TeachingMove => teachingMoves[id]

export type { TeachingMove } from './move'
