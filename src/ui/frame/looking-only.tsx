'use client'

import { usePathname } from 'next/navigation'
import type { ReactNode } from 'react'

/** Places whose buttons and fields all change something of the class: elsewhere they choose what is looked at. */
const changing: readonly string[] = ['', 'class', 'groups', 'plan', 'progress', 'children']

/** For who may look at a class and change nothing: what would be refused can't be pressed. Links lead on. */
export function LookingOnly({ children }: { children: ReactNode }) {
  const part = usePathname().split('/')[3] ?? ''
  if (!changing.includes(part)) return children
  return (
    <fieldset className="looking-only" disabled>
      {children}
    </fieldset>
  )
}
