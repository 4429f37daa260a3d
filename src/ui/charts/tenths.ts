/** A coordinate as short as the eye can tell: a page of charts is mostly coordinates. */
export const tenths = (pixels: number) => Math.round(pixels * 10) / 10
