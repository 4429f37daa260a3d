'use client'

import Button from 'react-bootstrap/Button'

/** A fault of ours, or a database that is away for the moment. */
export default function Broken({ error, reset }: { error: Error & { digest?: string }; reset: () => void }) {
  const away = error.digest === 'database-away'
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
