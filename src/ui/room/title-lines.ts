import { inLines } from '../charts/in-lines'

/** Letters of a title that stand in a line at full size and can be read from the back of the room. */
const mostInLine = 10

export const titleLines = (title: string) => inLines(title, mostInLine)
