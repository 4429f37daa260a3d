'use client'

import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import type { Column } from '@/core/formats/class-list'
import type { Answer } from '@/server/answer'
import { Problems } from '../problems'
import { SideSheet } from '../sheets/side-sheet'
import { useSaving } from '../sheets/use-saving'
import { ListInput, type ReadyList } from './list-input'

/** More children for a class that stands. */
export function AddChildrenSheet({
  present,
  onSave,
  onClose,
}: {
  present: string[]
  onSave: (list: {
    text: string
    columns: Column[]
    hasHeader: boolean
  }) => Promise<Answer<{ children: number }>>
  onClose: () => void
}) {
  const [list, setList] = useState<ReadyList | null>(null)
  const { problems, busy, save } = useSaving()
  return (
    <SideSheet title="Add children" wide onClose={onClose}>
      <Problems problems={problems} />
      <ListInput present={present} onRead={setList} />
      <Button
        disabled={busy || !list}
        onClick={() =>
          list &&
          save(() => onSave({ text: list.text, columns: list.columns, hasHeader: list.hasHeader }), onClose)
        }
      >
        {busy ? 'Adding …' : list ? `Add ${list.children.length}` : 'Add'}
      </Button>
    </SideSheet>
  )
}
