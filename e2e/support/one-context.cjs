const vm = require('node:vm')
const { TestEnvironment } = require('jest-environment-node')

/** Contexts that stand for the one this process began with. */
const own = new WeakSet()
const { compileFunction } = vm
vm.compileFunction = (code, parameters, options) =>
  compileFunction(code, parameters, {
    ...options,
    parsingContext: own.has(options.parsingContext) ? undefined : options.parsingContext,
  })

/**
 * Test files without a context of their own: there each look at a global goes through a proxy, which makes loops of the computation
 * core up to twice as slow as they are. For tests of pure functions only: globals are not put back, and there is no pretended time.
 */
module.exports = class OneContext extends TestEnvironment {
  constructor(config, context) {
    super(config, context)
    this.global = globalThis
    this.context = vm.createContext(globalThis)
    own.add(this.context)
  }
}
