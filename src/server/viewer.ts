declare const known: unique symbol

/** On whose behalf a use case runs: an adult, or a device that a link let in. Only `whoAsks`, links and the demo make one. */
export interface Viewer {
  /** Of a device with a link: who made the link. */
  readonly adultId: string
  /** Null: the adult itself. */
  readonly linkId: string | null
  readonly [known]: true
}

/** The teacher of this computer: the one adult of an installation until others are asked in. */
export const theTeacher = { id: '5ea00000-0000-4000-8000-000000000001', name: 'Teacher' }

export const viewerOf = (adultId: string, linkId: string | null = null): Viewer =>
  ({ adultId, linkId }) as Viewer

/** Whoever sits at the computer Islands runs on, where nobody has to sign in. */
export const ownTeacher = (): Viewer => viewerOf(theTeacher.id)

/** Somebody who has not said who it is: belongs to nothing. */
export const nobody: Viewer = viewerOf('00000000-0000-4000-8000-000000000000')

export const isNobody = ({ adultId }: Viewer): boolean => adultId === nobody.adultId
