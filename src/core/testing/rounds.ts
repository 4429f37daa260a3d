/**
 * Rounds of a property that is tried on many random cases: all of them in `npm run trial -- --whole properties`, every fourth in
 * `npm test`, which is to be over while somebody waits.
 */
export const rounds = (all: number): number => (process.env.ISLANDS_ALL_ROUNDS ? all : Math.ceil(all / 4))
