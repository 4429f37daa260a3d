/** A page with one thing to do before anything else. */
export function Door({ title, children }: { title: string; children: React.ReactNode }) {
  return (
    <main className="door">
      <section className="door-sheet">
        <h1>{title}</h1>
        {children}
      </section>
    </main>
  )
}
