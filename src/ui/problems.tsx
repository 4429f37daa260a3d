/** Why nothing was done. */
export function Problems({ problems }: { problems: readonly string[] }) {
  if (problems.length === 0) return null
  return (
    <div className="problem" role="alert">
      {problems.map((problem) => (
        <div key={problem}>{problem}</div>
      ))}
    </div>
  )
}
