export { nameToday } from './earlier-names'
export { isLoose, isPrinted, nameOf, substitutesFor, type Substitute } from './kinds'
export { timesOnCards } from './time-cards'
export { thing, thingKey, thingSchema, type Thing, type ThingKind, type ThingOf } from './thing'
