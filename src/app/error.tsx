'use client'

import { useEffect } from 'react'
import Button from 'react-bootstrap/Button'

/** A fault of ours, or a database that is away for the moment. */
export default function Broken({ error, reset }: { error: Error & { digest?: string }; reset: () => void }) {
  const away = error.digest === 'database-away'
  const seconds = /^busy-(\d+)$/.exec(error.digest ?? '')?.[1]
  // Whoever waits for a turn need not ask for it.
  useEffect(() => {
    if (seconds === undefined) return
    const timer = setTimeout(() => location.reload(), Number(seconds) * 1000)
    return () => clearTimeout(timer)
  }, [seconds])
  if (seconds !== undefined)
    return (
      <main className="place empty" role="status">
        <h1>Islands is busy for a moment</h1>
        <p>
          It’s working on other plans and pages. Your turn comes in about{' '}
          {seconds === '1' ? 'a second' : `${seconds} seconds`}, and this page then opens by itself.
        </p>
        <Button onClick={() => location.reload()}>Try again now</Button>
      </main>
    )
  return (
    <main className="place empty">
      <h1>{away ? 'The database can’t be reached just now' : 'Something went wrong on our side'}</h1>
      <p>
        {away
          ? 'Islands looks for it by itself. Marks on this device wait until it is back.'
          : 'Nothing that was saved is lost.'}
      </p>
      <Button onClick={reset}>Try again</Button>
    </main>
  )
}
