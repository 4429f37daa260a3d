import { z } from 'zod'

/** Papers by name; millimetres, upright. */
const papers = { A4: [210, 297], Letter: [215.9, 279.4] } as const

export const paperSchema = z.enum(['A4', 'Letter'])
export type PaperId = z.infer<typeof paperSchema>

/** What no printer reaches for certain, on every side; millimetres. */
export const safeMargin = 10
/** Room for the foot of a page, inside the margin. */
export const footHeight = 8

/** Width and height of a paper in millimetres. */
export const sizeOfPaper = (paper: PaperId): readonly [number, number] => papers[paper]

/** How cards get their backs: not at all, or on sheets turned over along the edge that the printer turns them by. */
export const backsSchema = z.enum(['none', 'long edge', 'short edge'])
export type Backs = z.infer<typeof backsSchema>
