/**
 * Lets what comes together begin one after the other, each in a turn of the event loop of its own: forty devices that send at the
 * same moment would else hold up everything else for as long as all of their beginnings take (decision 049).
 */
export function inTurn(): (work: () => void) => void {
  const waiting: (() => void)[] = []
  const next = () => {
    const work = waiting.shift()!
    // In the next turn, after timers and whatever has come in.
    if (waiting.length > 0) setImmediate(next)
    work()
  }
  return (work) => {
    if (waiting.push(work) === 1) setImmediate(next)
  }
}
