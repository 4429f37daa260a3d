import { scaleLinear } from 'd3-scale'
import { stepOf, strandOf, type StrandId } from '@/core/skills'
import { tenths } from './tenths'

const width = 150
const height = 16

/** A strand as a ladder: ticks for its steps, the working step as a stop, 10–90 % as a whisker. */
export function Ladder({
  strand,
  workingStep,
  p10,
  p90,
  toCome = false,
}: {
  strand: StrandId
  workingStep: string | null
  p10: number
  p90: number
  /** The strand is still to be begun: there is no stop on it. */
  toCome?: boolean
}) {
  const { steps } = strandOf(strand)
  const last = steps.length - 1
  const x = scaleLinear([steps[0].difficulty - 1, steps[last].difficulty + 2.5], [4, width - 4]).clamp(true)
  const at = workingStep === null ? x.range()[1] : x(stepOf({ strand, step: workingStep }).difficulty)
  return (
    <svg className="ladder" width={width} height={height} aria-hidden>
      <path
        className="tick"
        d={steps.map(({ difficulty }) => `M${tenths(x(difficulty))},4V${height - 4}`).join('')}
      />
      {!toCome && (
        <>
          <path className="whisker" d={`M${tenths(x(p10))},${height / 2}H${tenths(x(p90))}`} />
          <circle className="stop" cx={tenths(at)} cy={height / 2} r={4} />
        </>
      )}
    </svg>
  )
}
