import type { Thing } from '../things'
import type { Part } from './pack'
import type { TaskCardForm } from './sheets/task-card'

/** What a job is printed with, beside the counts. */
export interface Settings {
  /** Cards that differ from one another are drawn with it. */
  seed: number
  taskCards: TaskCardForm
}

/** One line of a list of what can be printed. */
export interface PrintItem {
  /** The same item of the same bag has the same id in every job: what is kept in a bag is kept by it. */
  id: string
  name: string
  /** Needed to play; instead of something from the shelf; or for those who want it. */
  role: 'needed' | 'instead' | 'more'
  /** Copies that are needed in all; of what is not needed, as many as are usual. */
  count: number
  /** What it is, where it is a thing of a game: how it is drawn by hand hangs on it. */
  thing: Thing | null
  /** Pages, cards or pieces for so many copies. */
  part: (count: number, settings: Settings) => Part
}

/** What goes together: a bag with a game, or the papers of a session, a group or a child. */
export interface Bundle {
  id: string
  title: string
  /** Whose bag it is; null: it is no bag, and nothing is kept of it. */
  gameId: string | null
  items: readonly PrintItem[]
  /** What is put to it from the shelf. */
  shelf: readonly { name: string; count: number }[]
}

export interface Pile {
  title: string
  bundles: readonly Bundle[]
}
