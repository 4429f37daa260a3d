'use client'

import { useEffect, useEffectEvent } from 'react'

/** Has moves looked for as the page opens, for who came to review them: once, not again after a reload or with new groups in use. */
export function useMovesAtOnce(wanted: boolean, classId: string, suggest: () => void) {
  const begin = useEffectEvent(() => {
    if (!wanted) return
    window.history.replaceState(null, '', `/c/${classId}/groups`)
    suggest()
  })
  useEffect(() => begin(), [])
}
