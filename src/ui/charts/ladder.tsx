import { scaleLinear } from 'd3-scale'
import { stepOf, strandOf, type StrandId } from '@/core/skills'

const width = 150
const height = 16

/** A strand as a ladder: ticks for its steps, the working step as a stop, 10–90 % as a whisker. */
export function Ladder({
  strand,
  workingStep,
  p10,
  p90,
}: {
  strand: StrandId
  workingStep: number | null
  p10: number
  p90: number
}) {
  const { steps } = strandOf(strand)
  const last = steps.length - 1
  const x = scaleLinear([steps[0].difficulty - 1, steps[last].difficulty + 2.5], [4, width - 4]).clamp(true)
  const at = workingStep === null ? x.range()[1] : x(stepOf({ strand, step: workingStep }).difficulty)
  return (
    <svg className="ladder" width={width} height={height} aria-hidden>
      {steps.map(({ id, difficulty }) => (
        <line key={id} className="tick" x1={x(difficulty)} x2={x(difficulty)} y1={4} y2={height - 4} />
      ))}
      <line className="whisker" x1={x(p10)} x2={x(p90)} y1={height / 2} y2={height / 2} />
      <circle className="stop" cx={at} cy={height / 2} r={4} />
    </svg>
  )
}
