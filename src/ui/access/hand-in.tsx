'use client'

import { NotStored } from '../run/not-stored'
import { savedInWords } from '../run/saved-in-words'
import { useOutbox } from '../run/use-outbox'

const noNames = new Map<string, string>()

/** After the session: what this device still holds of it is sent, and told. */
export function HandIn({ classId }: { classId: string }) {
  const { state, retry, letGo } = useOutbox({ classId, from: '/here' })
  if (state.waiting.length === 0 && state.aside.length === 0) return null
  return (
    <>
      {state.aside.length > 0 && (
        <NotStored aside={state.aside} names={noNames} onRetry={retry} onLetGo={letGo} />
      )}
      <p role="status">
        <strong className="saved">{savedInWords(state)}</strong>
      </p>
    </>
  )
}
