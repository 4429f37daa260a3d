const small =
  'zero one two three four five six seven eight nine ten eleven twelve thirteen fourteen fifteen sixteen seventeen eighteen nineteen'.split(
    ' ',
  )
const tens = 'twenty thirty forty fifty sixty seventy eighty ninety'.split(' ')

/** A number as it is said, from 0 to 100: “sixty-three”. @throws beyond it */
export function numberWords(n: number): string {
  if (!Number.isInteger(n) || n < 0 || n > 100) throw new Error(`${n} is not said here.`)
  if (n < 20) return small[n]
  if (n === 100) return 'a hundred'
  const ten = tens[Math.floor(n / 10) - 2]
  return n % 10 === 0 ? ten : `${ten}-${small[n % 10]}`
}
