const either = new Intl.ListFormat('en-GB', { type: 'disjunction' })

/** Numbers of which one is meant: “2, 5 or 10”. */
export const orList = (numbers: readonly number[]): string => either.format(numbers.map(String))
