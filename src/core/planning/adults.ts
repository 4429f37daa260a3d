/** A station that has an adult in a slot; `led`: that is the teacher's place before anybody else's. */
export interface AdultNeed<Station = number> {
  station: Station
  led: boolean
}

/** An adult at a station in a slot; adult 0 is the teacher. */
export interface AdultPlace<Station = number> {
  slot: number
  station: Station
  adult: number
}

/**
 * Which adult is where: the teacher at stations that are led, and nobody walks who need not. An adult stays
 * while the station needs one; where somebody has to walk, it is the one whose own station needs an adult again
 * last, which is the least walking there can be (Belady 1966, IBM Systems Journal 5:78, for pages of a memory).
 * @param slots what each slot asks for, in order; never more than there are adults
 */
export function placeAdults<Station>(
  slots: readonly (readonly AdultNeed<Station>[])[],
  adults: number,
): AdultPlace<Station>[] {
  const at = new Array<Station | null>(adults).fill(null)
  /** Slot in which the station next needs an adult; as many as there are slots: never. */
  const nextUse = (station: Station | null, from: number) => {
    const next = slots.findIndex(
      (needs, slot) => slot >= from && needs.some((need) => need.station === station),
    )
    return next < 0 ? slots.length : next
  }
  return slots.flatMap((needs, slot) => {
    const taken = new Map<Station, number>()
    const take = (station: Station, adult: number) => {
      taken.set(station, adult)
      at[adult] = station
    }
    const isFree = (adult: number) => ![...taken.values()].includes(adult)
    const led = needs.filter((need) => need.led)
    if (led.length > 0 && adults > 0)
      take((led.find(({ station }) => station === at[0]) ?? led[0]).station, 0)
    for (let adult = 0; adult < adults; adult++) {
      const own = needs.find(({ station }) => station === at[adult])
      if (own && isFree(adult) && !taken.has(own.station)) take(own.station, adult)
    }
    for (const { station } of needs) {
      if (taken.has(station)) continue
      // Who is nowhere yet walks from nowhere.
      const free = at.flatMap((own, adult) =>
        isFree(adult) ? [{ adult, idle: own === null ? Infinity : nextUse(own, slot) }] : [],
      )
      const walker = free.reduce((best, one) => (one.idle > best.idle ? one : best), free[0])
      if (walker) take(station, walker.adult)
    }
    return [...taken].map(([station, adult]) => ({ slot, station, adult }))
  })
}
