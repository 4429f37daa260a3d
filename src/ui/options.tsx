import { useSyncExternalStore } from 'react'

const nothingToHear = () => () => {}

/** False while a page is drawn on the server, true once it is live. */
const useLive = () =>
  useSyncExternalStore(
    nothingToHear,
    () => true,
    () => false,
  )

/**
 * The options of a select. What is not chosen comes once the page is live: a plan has hundreds of options, which
 * nobody can open before, and they would cost the server as much as the rest of its page.
 */
export function Options({ all, chosen }: { all: { id: string; title: string }[]; chosen: string }) {
  const live = useLive()
  const shown = live ? all : all.filter(({ id }) => id === chosen)
  return shown.map(({ id, title }) => (
    <option key={id} value={id}>
      {title}
    </option>
  ))
}
