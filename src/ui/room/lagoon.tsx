const [r0, rim] = [100, 128]

/**
 * Time as water that goes down: its area is the share that is left, so half the time is half the water.
 * @param share of the slot that is left, 0 to 1
 */
export function Lagoon({ share }: { share: number }) {
  return (
    <svg className="lagoon" viewBox="-132 -132 264 264" aria-hidden>
      <circle r={rim} className="lagoon-rim" />
      <circle r={lagoonRadius(share)} className="lagoon-water" />
    </svg>
  )
}

/** r₀·√share: an area in proportion to the time. */
const lagoonRadius = (share: number): number => r0 * Math.sqrt(Math.min(1, Math.max(0, share)))
