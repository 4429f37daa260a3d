import Link from 'next/link'

export default function NotFound() {
  return (
    <main className="place empty">
      <h1>There is nothing here</h1>
      <p>The address may be old, or the class belongs to someone else.</p>
      <Link className="btn btn-quiet" href="/">
        To the harbour
      </Link>
    </main>
  )
}
