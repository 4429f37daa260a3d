import { inLines } from '../charts/in-lines'

/** Letters of a title that stand in a line within the coast, at a size that can be read from the back of the room. */
const mostInLine = 8

export const titleLines = (title: string) => inLines(title, mostInLine)
