/** The drawing of the room’s screen: the right quarter is for the time. */
export const room = { width: 1440, height: 1080 }

/** Where islands lie, in one, two or three rows, as large as they can be. */
export function berths(count: number): { x: number; y: number; radius: number; width: number }[] {
  const columns = count <= 1 ? 1 : count <= 4 ? 2 : 3
  const rows = Math.ceil(count / columns)
  const [wide, high] = [room.width / columns, room.height / rows]
  // Islands are a good deal wider than high, and a pennant stands over each.
  const radius = Math.min(wide / 3.05, high / 2.75)
  return Array.from({ length: count }, (_, i) => {
    const row = Math.floor(i / columns)
    const inRow = Math.min(columns, count - row * columns)
    const shift = (room.width - inRow * wide) / 2
    return {
      x: shift + wide * ((i % columns) + 0.5),
      y: high * (row + 0.5) + radius * 0.2,
      radius,
      /** Room for what is written on it. */
      width: wide * 0.94,
    }
  })
}
