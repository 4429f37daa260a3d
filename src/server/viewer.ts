declare const known: unique symbol

/** The adult on whose behalf a use case runs. Only `currentViewer` and the demo make one. */
export interface Viewer {
  readonly adultId: string
  readonly [known]: true
}

/** The one teacher of an installation, until there are accounts. */
export const theTeacher = { id: '5ea00000-0000-4000-8000-000000000001', name: 'Teacher' }

/** Who is asking. One teacher for now; the server listens on this machine only. */
export function currentViewer(): Viewer {
  return { adultId: theTeacher.id } as Viewer
}
