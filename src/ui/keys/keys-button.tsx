'use client'

import { lazy, Suspense, useEffect, useState } from 'react'
import { useShortcuts } from './use-shortcuts'

const load = () => import('./keys-list').catch(() => ({ default: NotThere }))
const KeysList = lazy(load)

/** The list is fetched once nothing else is waited for, so that it is there without a network as well. */
const loadAfterMs = 3_000

/** A button that lists the keys that work here, and switches single keys off. */
export function KeysButton() {
  const [open, setOpen] = useState(false)
  useEffect(() => {
    const timer = setTimeout(() => void load(), loadAfterMs)
    return () => clearTimeout(timer)
  }, [])
  useShortcuts([{ keys: '?', title: 'This list', run: () => setOpen(true) }])
  return (
    <>
      <button
        type="button"
        className="btn btn-plain btn-sm"
        onClick={() => setOpen(true)}
        aria-haspopup="dialog"
      >
        Keys
      </button>
      {open && (
        <Suspense>
          <KeysList onClose={() => setOpen(false)} />
        </Suspense>
      )}
    </>
  )
}

function NotThere() {
  return <span role="alert">The list of keys can’t be fetched without a network.</span>
}
