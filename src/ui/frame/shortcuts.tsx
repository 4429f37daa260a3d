'use client'

import { useRouter } from 'next/navigation'
import { KeysButton } from '../keys/keys-button'
import { useShortcuts } from '../keys/use-shortcuts'
import { placesWithKeys } from './places'

/** The keys that lead from place to place, and the list of all. */
export function Shortcuts({ classId }: { classId: string }) {
  const router = useRouter()
  useShortcuts(
    placesWithKeys.map(({ part, title, key }) => ({
      keys: `g ${key}`,
      title,
      run: () => router.push(`/c/${classId}${part ? `/${part}` : ''}`),
    })),
  )
  return <KeysButton />
}
