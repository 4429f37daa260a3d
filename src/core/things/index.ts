export { isLoose, isPrinted, kinds, nameOf, substitutesFor, type Substitute } from './kinds'
export { thing, thingKey, thingSchema, type Thing, type ThingKind } from './thing'
