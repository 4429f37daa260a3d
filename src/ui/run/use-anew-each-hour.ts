import { useRouter } from 'next/navigation'
import { useEffect } from 'react'

const hour = 3_600_000

/** A board that stays open over its time asks anew each hour: next morning it is no session under way any more. */
export function useAnewEachHour(leftMs: number) {
  const router = useRouter()
  const hoursOver = Math.max(0, Math.floor(-leftMs / hour))
  useEffect(() => {
    if (hoursOver > 0) router.refresh()
  }, [hoursOver, router])
}
