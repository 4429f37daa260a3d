export default function Loading() {
  return (
    <p className="muted" role="status">
      One moment …
    </p>
  )
}
