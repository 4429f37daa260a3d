export { nameToday } from './earlier-names'
export { isLoose, isPrinted, nameOf, substitutesFor, type Substitute } from './kinds'
export { thing, thingKey, type Thing, type ThingKind } from './thing'
