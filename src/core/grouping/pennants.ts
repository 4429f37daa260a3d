/** Shapes a group is known by; each has its own colour in the theme. */
export const pennantShapes = [
  'triangle',
  'square',
  'swallowtail',
  'diamond',
  'plus',
  'hourglass',
  'arch',
  'chevron',
] as const
export type PennantShape = (typeof pennantShapes)[number]

/** Names of groups, by number: shore plants. No name says more or less than another. */
export const groupNames = [
  'Kelp',
  'Samphire',
  'Thrift',
  'Marram',
  'Dulse',
  'Sea Holly',
  'Eelgrass',
  'Sea Beet',
] as const

/** As many groups as there are pennants. */
export const mostGroups = groupNames.length
