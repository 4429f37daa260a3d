/** A group at a station in a slot, all counted from 0. */
export interface Place {
  slot: number
  station: number
  group: number
}

/**
 * Everyone moves on by one station at each signal. With no more slots than stations no group comes
 * to a station twice; with as many groups as stations and slots it is a Latin square.
 */
export function rotate(groups: number, stations: number, slots: number): Place[] {
  const places: Place[] = []
  for (let slot = 0; slot < slots; slot++)
    for (let group = 0; group < groups; group++)
      places.push({ slot, station: (group + slot) % stations, group })
  return places
}
