import type { StepPlace } from '../../skills'
import { addingSteps } from './adding'
import { besideSteps } from './beside'
import { byHeartSteps } from './by-heart'
import { coinSteps } from './coins'
import { countingSteps } from './counting'
import { groupAndFactSteps } from './groups-and-facts'
import { numberSteps } from './numbers'
import type { StepTeaching } from './step'

const teaching: Record<string, StepTeaching> = {
  ...countingSteps,
  ...numberSteps,
  ...addingSteps,
  ...byHeartSteps,
  ...groupAndFactSteps,
  ...coinSteps,
  ...besideSteps,
}

export const teachingFor = ({ step }: StepPlace): StepTeaching => teaching[step]

export type { StepTeaching } from './step'
