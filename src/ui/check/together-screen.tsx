'use client'

import { useState } from 'react'
import type { StrandId } from '@/core/skills'
import type { CheckTogetherPage } from '@/server/check'
import { listed } from '../words'
import { ChooseStrands } from './choose-strands'
import { AskingTogether } from './asking-together'

/** Several children, one task at a time: all write the answer down and show it, an adult marks by rows. */
export function TogetherScreen({ classId, page }: { classId: string; page: CheckTogetherPage }) {
  const [chosen, setChosen] = useState<readonly StrandId[] | null>(null)
  const { children, usual } = page
  if (chosen) return <AskingTogether classId={classId} page={page} chosen={chosen} />
  const [{ strands }] = children
  const openTo = (strand: StrandId) =>
    children.some((child) => child.strands.some((one) => one.strand === strand && one.open))
  const followedBy = (strand: StrandId) =>
    children.some((child) => child.strands.some((one) => one.strand === strand && one.followed))
  return (
    <ChooseStrands
      title={`Check ${listed(children.map(({ name }) => name))} together`}
      strands={strands.map(({ strand }) => ({ strand, open: openTo(strand), followed: followedBy(strand) }))}
      usual={usual}
      after={[]}
      back={`/c/${classId}/class`}
      onStart={setChosen}
    >
      Everybody with a whiteboard and a pen. Ask what is asked; all write or draw the answer and show it at
      the same moment. Mark each board; the next task is the one that tells most about all of them.
    </ChooseStrands>
  )
}
