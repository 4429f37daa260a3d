'use client'

import dynamic from 'next/dynamic'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import type { Action } from '@/server/answer'
import type { quickNotePage } from '@/server/notes'
import { useShortcuts } from '../keys/use-shortcuts'

const QuickNoteSheet = dynamic(() => import('./quick-note-sheet').then((module) => module.QuickNoteSheet))

/** A word about any child at any time of the day, from any screen of the class. */
export function QuickNote({ classId, load }: { classId: string; load: Action<typeof quickNotePage> }) {
  const [open, setOpen] = useState(false)
  useShortcuts([{ keys: 'o', title: 'A note or a mark for any child', run: () => setOpen(true) }])
  return (
    <>
      <Button variant="plain" size="sm" onClick={() => setOpen(true)}>
        Note
      </Button>
      {open && <QuickNoteSheet classId={classId} load={load} onClose={() => setOpen(false)} />}
    </>
  )
}
