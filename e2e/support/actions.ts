import { readFileSync } from 'node:fs'

interface Manifest {
  node: Record<string, { exportedName: string }>
}

let ids: Map<string, string> | undefined

/** The build's number of an action, by the name of its function. */
function actionId(name: string): string {
  if (!ids) {
    const { node } = JSON.parse(
      readFileSync('.next/server/server-reference-manifest.json', 'utf8'),
    ) as Manifest
    ids = new Map(Object.entries(node).map(([id, { exportedName }]) => [exportedName, id]))
  }
  const id = ids.get(name)
  if (!id) throw new Error(`The build has no action ${name}.`)
  return id
}

/** Names of all actions. */
export function actionNames(): string[] {
  actionId('saveGroupsAction')
  return [...ids!.keys()]
}

/** Calls a server action as a page does. */
export const askAction = (url: string, page: string, name: string, input: unknown): Promise<Response> =>
  fetch(url + page, {
    method: 'POST',
    headers: {
      'next-action': actionId(name),
      'content-type': 'text/plain;charset=UTF-8',
      accept: 'text/x-component',
    },
    body: JSON.stringify([input]),
  })

/** True if the action answered that it was done; false also where no answer came. */
export async function didAction(url: string, page: string, name: string, input: unknown): Promise<boolean> {
  try {
    const response = await askAction(url, page, name, input)
    return response.ok && /^1:\{"ok":true/m.test(await response.text())
  } catch {
    return false
  }
}
