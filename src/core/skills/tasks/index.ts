import type { Chance } from '../../chance/chance'
import { inCoinage, type Coinage } from '../coins'
import type { StepPlace } from '../index'
import type { PracticeItem } from '../item'
import { makers } from './makers'
import { scriptOf, type Script } from './script'

/** A task for one child, ready to be said: fresh numbers each time. What to look for are the step's marks. */
export interface Task extends Script {
  item: PracticeItem
}

/** A fresh task of a step, in what the class calls its coins. */
export function taskFor({ step }: StepPlace, chance: Chance, coinage: Coinage = 'shells'): Task {
  const item = makers[step](chance)
  const script = scriptOf(step, item, chance)
  return { item, do: script.do, say: inCoinage(script.say, coinage) }
}
