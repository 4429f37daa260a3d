export { nameToday } from './earlier-names'
export { isLoose, isPrinted, nameOf, substitutesFor, type Substitute } from './kinds'
export { thing, thingKey, thingSchema, type Thing, type ThingKind, type ThingOf } from './thing'
