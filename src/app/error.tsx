'use client'

import Button from 'react-bootstrap/Button'

export default function Broken({ reset }: { reset: () => void }) {
  return (
    <main className="place empty">
      <h1>Something went wrong on our side</h1>
      <p>Nothing that was saved is lost.</p>
      <Button onClick={reset}>Try again</Button>
    </main>
  )
}
