import { liveTerm, policies } from './term'

/** `part.ts POLICY FROM TO`: the outcomes of some classes by one policy, a line of JSON each, by rising seed. */
const [policy, from, to] = process.argv.slice(2)
for (let seed = Number(from); seed <= Number(to); seed++)
  process.stdout.write(`${JSON.stringify(liveTerm(seed, policies[policy]))}\n`)
